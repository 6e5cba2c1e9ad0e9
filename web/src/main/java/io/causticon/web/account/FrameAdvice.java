package io.causticon.web.account;

import io.causticon.web.shared.Frame;
import jakarta.servlet.http.HttpServletRequest;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Gives every page its frame and every controller the {@link Maker} at the screen. */
@ControllerAdvice
class FrameAdvice {

    private static final Frame NOBODY = new Frame("", "", "day", "", false, false, "0");

    private final String assets;

    FrameAdvice(@Value("${causticon.assets:1}") String assets) {
        this.assets = assets;
    }

    @ModelAttribute("maker")
    @Nullable Maker maker(HttpServletRequest request) {
        // A program that shows a token is no maker, and sees no pages.
        return request.getAttribute(StandingFilter.MAKER) instanceof Maker maker ? maker : null;
    }

    @ModelAttribute("frame")
    Frame frame(@ModelAttribute("maker") @Nullable Maker maker) {
        return maker == null ? NOBODY : maker.frame(assets);
    }
}
