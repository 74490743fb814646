package org.eskiz.server.bench;

import org.eskiz.server.operator.AtWork;
import org.eskiz.server.problem.NotAllowedException;
import org.eskiz.server.web.PublicAddress;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.util.unit.DataSize;

/** How much of sweeps one of many operators may bring in. Who is alone may bring in as much as they like. */
@Component
class SweepQuota {

    private final BenchFileRepository files;
    private final PublicAddress address;
    private final DataSize most;

    SweepQuota(BenchFileRepository files, PublicAddress address, @Value("${eskiz.quota.sweeps}") DataSize most) {
        this.files = files;
        this.address = address;
        this.most = most;
    }

    void requireRoomFor(long bytes) {
        if (address.isOpen()
                && AtWork.now()
                        .filter(who -> files.bytesOf(who.operator()) + bytes > most.toBytes())
                        .isPresent()) {
            throw new NotAllowedException(
                    "the sweeps that you brought in would be more than %d MB, which is what one operator may have here"
                            .formatted(most.toMegabytes()));
        }
    }
}
