package io.causticon.web.shared;

import jakarta.servlet.ServletRequest;
import java.util.function.BooleanSupplier;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** Whoever waits for the answer that is being made: there may be nobody any more. */
public final class Asker {

    private static final String ATTRIBUTE = Asker.class.getName();

    private Asker() {}

    /** Says of a request how to find out whether its sender is still there. */
    public static void tell(ServletRequest request, BooleanSupplier there) {
        request.setAttribute(ATTRIBUTE, there);
    }

    /** Whether somebody is known to have left whose request this thread answers. Looks at the connection itself. */
    public static boolean hasLeft() {
        return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes here
                && here.getRequest().getAttribute(ATTRIBUTE) instanceof BooleanSupplier there
                && !there.getAsBoolean();
    }
}
