package app.korvel.server.web;

import org.apache.catalina.core.StandardHost;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What the web server does not take from a property. */
@Configuration(proxyBeanMethods = false)
class WebServerSettings {
  /** The longest answers, those of the zones, leave in one piece. */
  private static final int WRITE_BUFFER_BYTES = 32 * 1024;

  @Bean
  WebServerFactoryCustomizer<TomcatServletWebServerFactory> writeBuffer() {
    return factory ->
        factory.addConnectorCustomizers(
            connector -> connector.setProperty("socket.appWriteBufSize", "" + WRITE_BUFFER_BYTES));
  }

  /** What never reaches a page is answered as what does. */
  @Bean
  WebServerFactoryCustomizer<TomcatServletWebServerFactory> refusals() {
    return factory ->
        factory.addContextCustomizers(
            context ->
                ((StandardHost) context.getParent())
                    .setErrorReportValveClass(ProblemValve.class.getName()));
  }
}
