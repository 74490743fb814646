package org.eskiz.server.operator;

import static java.lang.annotation.ElementType.METHOD;
import static java.lang.annotation.ElementType.TYPE;
import static java.lang.annotation.RetentionPolicy.RUNTIME;

import java.lang.annotation.Retention;
import java.lang.annotation.Target;

/** A route for those who have not signed in. */
@Target({METHOD, TYPE})
@Retention(RUNTIME)
public @interface OpenToAnybody {}
