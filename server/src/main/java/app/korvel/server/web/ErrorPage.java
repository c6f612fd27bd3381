package app.korvel.server.web;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the web server itself has refused comes here, and is answered as everything else is. */
@RestController
class ErrorPage implements ErrorController {

  @RequestMapping("/error")
  ResponseEntity<Object> answer(HttpServletRequest request, HttpServletResponse response) {
    // What was refused before the doorkeeper saw it has none yet.
    SecurityHeaders.on(response);
    Integer status = (Integer) request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
    return Problems.answer(
        status == null
            ? ProblemType.NOT_FOUND.problem(
                HttpStatus.NOT_FOUND, "Nothing is served at " + request.getRequestURI() + ".")
            : ProblemType.ofServer(status));
  }
}
