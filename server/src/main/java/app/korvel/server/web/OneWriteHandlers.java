package app.korvel.server.web;

import app.korvel.store.Database;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.webmvc.autoconfigure.WebMvcRegistrations;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerAdapter;
import org.springframework.web.servlet.mvc.method.annotation.ServletInvocableHandlerMethod;

/** Runs the handlers marked {@link OneWrite} in one transaction each. */
@Configuration(proxyBeanMethods = false)
class OneWriteHandlers implements WebMvcRegistrations {
  private final Database database;

  OneWriteHandlers(Database database) {
    this.database = database;
  }

  @Override
  public RequestMappingHandlerAdapter getRequestMappingHandlerAdapter() {
    return new RequestMappingHandlerAdapter() {
      @Override
      protected ServletInvocableHandlerMethod createInvocableHandlerMethod(HandlerMethod handler) {
        return handler.hasMethodAnnotation(OneWrite.class)
            ? new InOneWrite(handler)
            : super.createInvocableHandlerMethod(handler);
      }
    };
  }

  private final class InOneWrite extends ServletInvocableHandlerMethod {
    InOneWrite(HandlerMethod handler) {
      super(handler);
    }

    @Override
    protected @Nullable Object doInvoke(@Nullable Object... values) throws Exception {
      return database.inOneWrite(() -> super.doInvoke(values));
    }
  }
}
