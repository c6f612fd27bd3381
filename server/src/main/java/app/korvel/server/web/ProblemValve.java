package app.korvel.server.web;

import java.io.IOException;
import java.io.Writer;
import java.util.LinkedHashMap;
import java.util.Map;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ErrorReportValve;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import tools.jackson.databind.json.JsonMapper;

/**
 * Says in a problem document what the web server refuses before it knows whom it is for: an address
 * that cannot be decoded, a header that cannot be read.
 */
public class ProblemValve extends ErrorReportValve {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  /** Its members alone: this mapper does not know what a problem document is. */
  private static Map<String, Object> document(ProblemDetail problem) {
    Map<String, Object> members = new LinkedHashMap<>();
    members.put("type", problem.getType().toString());
    members.put("title", problem.getTitle());
    members.put("status", problem.getStatus());
    members.put("detail", problem.getDetail());
    return members;
  }

  @Override
  protected void report(Request request, Response response, Throwable failure) {
    int status = response.getStatus();
    if (status < 400 || response.getContentWritten() > 0 || !response.setErrorReported()) {
      return;
    }
    ProblemDetail problem = ProblemType.ofServer(status);
    SecurityHeaders.on(response);
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    response.setCharacterEncoding("UTF-8");
    try {
      Writer writer = response.getReporter();
      if (writer != null) {
        writer.write(JSON.writeValueAsString(document(problem)));
        response.finishResponse();
      }
    } catch (IOException gone) {
      // Whoever asked has hung up; there is nobody to tell.
    }
  }
}
