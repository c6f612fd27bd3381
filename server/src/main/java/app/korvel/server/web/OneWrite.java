package app.korvel.server.web;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * What such a handler reads stays so until what it writes is written, and all of that is written
 * or, where it throws, nothing: it runs in one transaction, after the body has been read and before
 * the answer is sent.
 */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface OneWrite {}
