package io.causticon.web.security;

import java.io.IOException;
import java.util.function.LongSupplier;
import org.apache.coyote.InputBuffer;
import org.apache.tomcat.util.net.ApplicationBufferHandler;

/** A body that is given up where it comes slower than it should. */
final class PacedBody implements InputBuffer {

    private final InputBuffer whole;
    private final BodyValve.Pace pace;
    private final LongSupplier nanoseconds;
    private final long begun;
    private long bytes;

    PacedBody(InputBuffer whole, BodyValve.Pace pace, LongSupplier nanoseconds) {
        this.whole = whole;
        this.pace = pace;
        this.nanoseconds = nanoseconds;
        this.begun = nanoseconds.getAsLong();
    }

    @Override
    public int doRead(ApplicationBufferHandler handler) throws IOException {
        int read = whole.doRead(handler);
        bytes += Math.max(0, read);
        if (read >= 0 && pace.isTooSlow(nanoseconds.getAsLong() - begun, bytes)) {
            throw new IOException("the body comes too slowly");
        }
        return read;
    }

    @Override
    public int available() {
        return whole.available();
    }
}
