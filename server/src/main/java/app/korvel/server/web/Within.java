package app.korvel.server.web;

import app.korvel.core.measure.Limit;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** The limit a number in a request has to keep; the figures stand in the core's one table. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.RECORD_COMPONENT)
public @interface Within {
  /** The limit. */
  Limit value();
}
