package io.causticon.web.security;

import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.shared.ProblemWords;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.account.Passkeys;
import io.causticon.web.store.account.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A maker's passkeys, and what browsers are to ask devices for. */
@Controller
class PasskeyController {

    private static final String BACK = "redirect:/settings/passkeys";
    private static final String LABEL = "label";

    private final Passkeys passkeys;
    private final PasskeySignatures signatures;
    private final ProblemWords words;

    PasskeyController(Passkeys passkeys, PasskeySignatures signatures, ProblemWords words) {
        this.passkeys = passkeys;
        this.signatures = signatures;
        this.words = words;
    }

    /** Asked for before anybody is known. */
    @GetMapping(value = "/sign-in/passkey", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<String> toSignIn(HttpServletRequest request) {
        return ResponseEntity.ok().cacheControl(CacheControl.noStore()).body(signatures.toSignIn(request));
    }

    @GetMapping(value = "/settings/passkeys/new", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<String> toAdd(@AuthenticationPrincipal SignedIn here, HttpServletRequest request) {
        return ResponseEntity.ok().cacheControl(CacheControl.noStore()).body(signatures.toAdd(here, request));
    }

    @GetMapping("/settings/passkeys")
    String list(Model model, Maker maker, @AuthenticationPrincipal SignedIn here) {
        return show(model, maker, here, "", Map.of());
    }

    @PostMapping("/settings/passkeys")
    String add(
            Model model,
            Maker maker,
            @AuthenticationPrincipal SignedIn here,
            @RequestParam(defaultValue = "") String label,
            @RequestParam(defaultValue = "") String passkey,
            HttpServletRequest request) {
        String called = label.isBlank() ? request.getServerName() : label.trim();
        try {
            passkeys.checkRoom(here.account(), called);
            if (!signatures.add(here, called, passkey, request)) {
                throw ProblemsException.of(LABEL, ProblemKey.NOT_A_PASSKEY);
            }
            return BACK;
        } catch (ProblemsException e) {
            return show(model, maker, here, label, words.byField(e.problems(), maker.formats()));
        }
    }

    @PostMapping("/settings/passkeys/{id}/away")
    String takeAway(@AuthenticationPrincipal SignedIn here, @PathVariable UUID id) {
        passkeys.takeAway(here.account(), id);
        return BACK;
    }

    @PostMapping("/settings/passkeys/too")
    String too(
            Model model,
            Maker maker,
            @AuthenticationPrincipal SignedIn here,
            @RequestParam(defaultValue = "false") boolean passkeyToo) {
        try {
            passkeys.wantToo(here.account(), passkeyToo);
            return BACK;
        } catch (ProblemsException e) {
            return show(model, maker, here, "", words.byField(e.problems(), maker.formats()));
        }
    }

    private String show(Model model, Maker maker, SignedIn here, String label, Map<String, String> problems) {
        model.addAttribute("formats", maker.formats());
        model.addAttribute("passkeys", passkeys.of(here.account()));
        model.addAttribute("passkeyToo", passkeys.isWantedToo(here.account()));
        model.addAttribute(LABEL, label);
        model.addAttribute("problems", problems);
        return "account/passkeys";
    }
}
