package org.eskiz.server.operator;

import static java.lang.annotation.ElementType.METHOD;
import static java.lang.annotation.ElementType.TYPE;
import static java.lang.annotation.RetentionPolicy.RUNTIME;

import java.lang.annotation.Retention;
import java.lang.annotation.Target;

/**
 * A route also for those who come by a link to one plan: what shows that plan, and what computes with it. A plan that the
 * path names as {@code id} must be theirs.
 */
@Target({METHOD, TYPE})
@Retention(RUNTIME)
public @interface OpenToVisitors {}
