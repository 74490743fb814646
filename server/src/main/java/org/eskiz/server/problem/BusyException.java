package org.eskiz.server.problem;

/** Too much is being computed already, or too often tried. Answered with 429 and after how many seconds to try again. */
public final class BusyException extends RuntimeException {

    private static final long serialVersionUID = 1;

    private final int retryAfterS;

    public BusyException(int retryAfterS) {
        super("as much is being computed as this machine has cores for; try again in " + retryAfterS + " s");
        this.retryAfterS = retryAfterS;
    }

    /** @param why ends without saying when to try again */
    public BusyException(String why, int retryAfterS) {
        super(why + "; try again in " + retryAfterS + " s");
        this.retryAfterS = retryAfterS;
    }

    public int retryAfterS() {
        return retryAfterS;
    }
}
