package app.korvel.server.today;

import app.korvel.server.today.TodayViews.TodayView;
import app.korvel.studio.Studio;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Today: who is to be checked in, who must not train, who is due for what. */
@RestController
class TodayController {
  private final Studio studio;

  TodayController(Studio studio) {
    this.studio = studio;
  }

  @GetMapping("/api/today")
  TodayView today() {
    return new TodayPage(studio).view();
  }
}
