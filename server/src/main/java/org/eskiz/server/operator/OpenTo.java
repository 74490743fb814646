package org.eskiz.server.operator;

import static java.lang.annotation.ElementType.METHOD;
import static java.lang.annotation.ElementType.TYPE;
import static java.lang.annotation.RetentionPolicy.RUNTIME;

import java.lang.annotation.Retention;
import java.lang.annotation.Target;

/**
 * The least role that a route is open to, where it is not the usual one: what reads and what computes is open to guests,
 * everything else to members.
 */
@Target({METHOD, TYPE})
@Retention(RUNTIME)
public @interface OpenTo {

    Role value();
}
