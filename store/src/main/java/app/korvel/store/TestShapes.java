package app.korvel.store;

import app.korvel.core.assessment.StageWork;
import app.korvel.core.assessment.TestPlan;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonSubTypes.Type;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.JsonTypeInfo.Id;
import tools.jackson.databind.json.JsonMapper;

/** How what differs in kind is told apart where tests are kept as JSON; never renamed. */
final class TestShapes {
  private TestShapes() {}

  @JsonTypeInfo(use = Id.NAME, property = "of")
  @JsonSubTypes({
    @Type(value = TestPlan.TwoMinute.class, name = "two-minute"),
    @Type(value = TestPlan.Bench.class, name = "bench"),
    @Type(value = TestPlan.Mile.class, name = "mile"),
    @Type(value = TestPlan.TalkLadder.class, name = "talk-steps"),
    @Type(value = TestPlan.Graded.class, name = "graded")
  })
  private interface Setup {}

  @JsonTypeInfo(use = Id.NAME, property = "on")
  @JsonSubTypes({
    @Type(value = StageWork.Treadmill.class, name = "treadmill"),
    @Type(value = StageWork.Cycle.class, name = "cycle"),
    @Type(value = StageWork.Steps.class, name = "steps")
  })
  private interface Work {}

  static JsonMapper.Builder addTo(JsonMapper.Builder mapper) {
    return mapper.addMixIn(TestPlan.Setup.class, Setup.class).addMixIn(StageWork.class, Work.class);
  }
}
