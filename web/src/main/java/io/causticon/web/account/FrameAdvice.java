package io.causticon.web.account;

import io.causticon.web.shared.Frame;
import java.security.Principal;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Gives every page its frame and every controller the {@link Maker} at the screen. */
@ControllerAdvice
class FrameAdvice {

    private static final Frame NOBODY = new Frame("", "", "day", "", false, false, "0");

    private final AccountService accounts;
    private final String assets;

    FrameAdvice(AccountService accounts, @Value("${causticon.assets:1}") String assets) {
        this.accounts = accounts;
        this.assets = assets;
    }

    @ModelAttribute("maker")
    @Nullable Maker maker(@Nullable Principal principal) {
        // A program that shows a token is no maker, and sees no pages.
        return principal instanceof Authentication a && a.getPrincipal() instanceof SignedIn ? accounts.maker(a.getName()) : null;
    }

    @ModelAttribute("frame")
    Frame frame(@ModelAttribute("maker") @Nullable Maker maker) {
        return maker == null ? NOBODY : maker.frame(assets);
    }
}
