package io.causticon.web.harness;

import java.time.Duration;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/** An application for one class of tests, on a clock that goes on when a test says so. */
public final class OwnClock implements BeforeAllCallback, AfterAllCallback {

    private final SteppedClock clock = new SteppedClock();
    private @Nullable RunningApplication application;

    @Override
    public void beforeAll(ExtensionContext context) {
        application = RunningApplication.at(clock);
    }

    @Override
    public void afterAll(ExtensionContext context) {
        application().close();
    }

    public RunningApplication application() {
        if (application == null) {
            throw new IllegalStateException("Impossible state: asked before it was started");
        }
        return application;
    }

    public String address() {
        return application().address();
    }

    public void pass(Duration time) {
        clock.pass(time);
    }
}
