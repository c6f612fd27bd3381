package app.korvel.server.web;

import java.io.IOException;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.HttpOutputMessage;
import org.springframework.http.MediaType;
import org.springframework.http.converter.AbstractHttpMessageConverter;

/**
 * An answer that has been written already, and is sent as it is.
 *
 * @param utf8 JSON; nobody changes it
 */
public record WrittenJson(byte[] utf8) {

  /** Sends it in one piece. */
  static final class Converter extends AbstractHttpMessageConverter<WrittenJson> {
    Converter() {
      super(MediaType.APPLICATION_JSON);
    }

    @Override
    protected boolean supports(Class<?> type) {
      return type == WrittenJson.class;
    }

    @Override
    protected boolean canRead(MediaType type) {
      return false;
    }

    @Override
    protected WrittenJson readInternal(
        Class<? extends WrittenJson> type, HttpInputMessage message) {
      throw new UnsupportedOperationException();
    }

    @Override
    protected Long getContentLength(WrittenJson json, MediaType type) {
      return (long) json.utf8.length;
    }

    @Override
    protected void writeInternal(WrittenJson json, HttpOutputMessage message) throws IOException {
      message.getBody().write(json.utf8);
    }
  }
}
