package org.eskiz.core.run;

/** Where a matching unit (tuner) stands. */
public enum Matching {
    /** At the radio: the radio's power, less the unit's loss, enters the run, whatever the SWR. */
    AT_RADIO,
    /** At the antenna: the unit makes the line flat; what arrives, less the unit's loss, goes to the antenna. */
    AT_ANTENNA,
    /** Nowhere: what the run reflects comes back to the radio and is not sent. */
    NONE
}
