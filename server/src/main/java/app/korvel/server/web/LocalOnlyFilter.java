package app.korvel.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/**
 * Until people sign in, only this machine may ask: a foreign Host (a name rebound to this address)
 * or a foreign Origin (a script of another site or of another program here) is refused, and so is
 * what a browser marks as cross-site, and a body past the limit.
 */
@Component
public class LocalOnlyFilter extends OncePerRequestFilter {
  private static final Set<String> THIS_MACHINE = Set.of("127.0.0.1", "localhost", "[::1]", "::1");

  /** Answers with somebody's records in them are kept by nobody. */
  private static final String PERSONAL = "/api/";

  private final JsonMapper json;

  public LocalOnlyFilter(JsonMapper json) {
    this.json = json;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    SecurityHeaders.on(response);
    if (request.getRequestURI().startsWith(PERSONAL)) {
      response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
    }
    if (!THIS_MACHINE.contains(request.getServerName()) || !fromHere(request)) {
      refuse(
          response,
          ProblemType.FOREIGN.problem(
              HttpStatus.FORBIDDEN,
              "Accepted: requests from localhost or 127.0.0.1, and not from another site."));
    } else if (request.getContentLengthLong() > BodyLimit.most(request)) {
      refuse(response, BodyLimit.problem(request));
    } else {
      chain.doFilter(new BodyLimit(request), response);
    }
  }

  /**
   * No Origin (no script asks), or the very address that was asked; and nothing that a browser
   * marks as coming from another site.
   */
  private static boolean fromHere(HttpServletRequest request) {
    String origin = request.getHeader("Origin");
    return (origin == null || origin.equals("http://" + request.getHeader("Host")))
        && !"cross-site".equalsIgnoreCase(request.getHeader("Sec-Fetch-Site"));
  }

  private void refuse(HttpServletResponse response, ProblemDetail problem) throws IOException {
    response.setStatus(problem.getStatus());
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    response
        .getOutputStream()
        .write(json.writeValueAsString(problem).getBytes(StandardCharsets.UTF_8));
  }
}
