package app.korvel.server.web;

import jakarta.servlet.http.HttpServletResponse;

/** What every answer tells a browser, whether it is a success or not. */
final class SecurityHeaders {
  private static final String CONTENT_POLICY =
      "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:;"
          + " frame-ancestors 'none'; base-uri 'none'; form-action 'self'";

  private SecurityHeaders() {}

  static void on(HttpServletResponse response) {
    response.setHeader("Content-Security-Policy", CONTENT_POLICY);
    response.setHeader("X-Content-Type-Options", "nosniff");
    response.setHeader("X-Frame-Options", "DENY");
    response.setHeader("Referrer-Policy", "no-referrer");
    response.setHeader("Cross-Origin-Resource-Policy", "same-origin");
    response.setHeader("Cross-Origin-Opener-Policy", "same-origin");
  }
}
