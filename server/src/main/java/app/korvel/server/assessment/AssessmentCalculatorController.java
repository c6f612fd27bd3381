package app.korvel.server.assessment;

import app.korvel.server.assessment.AssessmentCalculatorViews.GradedTestAnswer;
import app.korvel.server.assessment.AssessmentCalculatorViews.GradedTestRequest;
import app.korvel.server.assessment.AssessmentCalculatorViews.MileWalkAnswer;
import app.korvel.server.assessment.AssessmentCalculatorViews.MileWalkRequest;
import app.korvel.server.assessment.AssessmentCalculatorViews.StepTestAnswer;
import app.korvel.server.assessment.AssessmentCalculatorViews.StepTestRequest;
import app.korvel.server.assessment.AssessmentCalculatorViews.TalkStepsAnswer;
import app.korvel.server.assessment.AssessmentCalculatorViews.TalkStepsRequest;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What the tests come to, without a client; nothing is kept. */
@RestController
class AssessmentCalculatorController {

  @PostMapping("/api/calculator/graded-test")
  GradedTestAnswer gradedTest(@RequestBody GradedTestRequest request) {
    return request.answer();
  }

  @PostMapping("/api/calculator/step-test")
  StepTestAnswer stepTest(@RequestBody StepTestRequest request) {
    return request.answer();
  }

  @PostMapping("/api/calculator/mile-walk")
  MileWalkAnswer mileWalk(@RequestBody MileWalkRequest request) {
    return request.answer();
  }

  @PostMapping("/api/calculator/talk-steps")
  TalkStepsAnswer talkSteps(@RequestBody TalkStepsRequest request) {
    return request.answer();
  }
}
