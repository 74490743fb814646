package org.eskiz.core.choice;

import org.eskiz.core.run.Conditions;
import org.eskiz.core.run.Load;
import org.eskiz.core.run.Radio;

/**
 * One band of a plan.
 *
 * @param radio what feeds the run there
 * @param conditions frequency and temperature
 * @param load what is known of the antenna there
 */
public record Band(Radio radio, Conditions conditions, Load load) {}
