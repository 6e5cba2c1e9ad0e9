package io.causticon.web.places.settings;

import io.causticon.core.model.said.notation.Units;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.security.OpeningCode;
import io.causticon.web.security.RememberedBrowsers;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.ProblemWords;
import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.account.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Signing in, and the very first visit, which makes the owner's account. */
@Controller
class SignInController {

    private static final String PASSKEY = "passkey";

    private final AccountService accounts;
    private final RememberedBrowsers browsers;
    private final OpeningCode opening;
    private final ProblemWords words;
    private final boolean demo;

    SignInController(
            AccountService accounts,
            RememberedBrowsers browsers,
            OpeningCode opening,
            ProblemWords words,
            @Value("${causticon.demo}") boolean demo) {
        this.accounts = accounts;
        this.browsers = browsers;
        this.opening = opening;
        this.words = words;
        this.demo = demo;
    }

    @GetMapping("/sign-in")
    String signIn(
            Model model,
            @RequestParam(required = false) @Nullable String wrong,
            @RequestParam(required = false) @Nullable String next,
            @RequestParam(required = false) @Nullable Integer wait,
            @RequestParam(required = false) @Nullable String out) {
        if (accounts.isNew()) {
            return "redirect:/first-visit";
        }
        model.addAttribute("message", message(wrong, next, wait));
        model.addAttribute("passkeyNext", PASSKEY.equals(next));
        model.addAttribute("demo", demo);
        model.addAttribute("out", out != null);
        return "account/sign-in";
    }

    private static String message(@Nullable String wrong, @Nullable String next, @Nullable Integer wait) {
        if (wait != null) {
            return "Too many tries. Wait " + wait + " s, then try again.";
        } else if (PASSKEY.equals(wrong)) {
            return "That passkey opens nothing here. It may have been taken away, or it is for another address.";
        } else if (wrong != null) {
            return "Name and password do not go together. Check both; capitals count in the password.";
        }
        return "password".equals(next) ? "You asked for both: type your password first, then show the passkey." : "";
    }

    @GetMapping("/first-visit")
    String firstVisit(Model model, HttpServletRequest request) {
        if (!accounts.isNew()) {
            return "redirect:/";
        }
        model.addAttribute("wantsCode", opening.isWanted(request));
        return show(model, new FirstVisit("", "", "", ZoneId.systemDefault().getId(), ""), Map.of());
    }

    /** Whoever opened the workshop is in it; nobody types a password twice to begin. */
    @PostMapping("/first-visit")
    String create(
            Model model,
            FirstVisit form,
            @RequestParam String password,
            @RequestParam(defaultValue = "") String code,
            HttpServletRequest request,
            HttpServletResponse response) {
        if (!accounts.isNew()) {
            return "redirect:/";
        }
        String workshop = form.workshop().isBlank() ? "Workshop of " + form.shownName() : form.workshop();
        model.addAttribute("wantsCode", opening.isWanted(request));
        model.addAttribute("code", code);
        try {
            opening.check(request, code);
            accounts.open(
                    workshop,
                    form.zone(),
                    Temperature.USUAL_ROOM,
                    form.name(),
                    form.displayName(),
                    password,
                    form.thinksIn());
        } catch (ProblemsException e) {
            return show(model, form, words.byField(e.problems(), new Formats(form.thinksIn(), ZoneOffset.UTC)));
        }
        SignedIn owner = accounts.loadUserByUsername(form.name());
        browsers.loginSuccess(
                request,
                response,
                UsernamePasswordAuthenticationToken.authenticated(owner, null, owner.getAuthorities()));
        return "redirect:/plan/first";
    }

    /** What the first visit asks for. */
    record FirstVisit(String workshop, String name, String displayName, String zone, String units) {

        FirstVisit {
            workshop = workshop == null ? "" : workshop;
            name = name == null ? "" : name;
            displayName = displayName == null ? "" : displayName;
            zone = zone == null ? "" : zone;
            units = units == null ? "" : units;
        }

        Units thinksIn() {
            return units.equals("US") ? Units.US : Units.METRIC;
        }

        String shownName() {
            return displayName.isBlank() ? name.trim() : displayName.trim();
        }
    }

    private static String show(Model model, FirstVisit form, Map<String, String> problems) {
        model.addAttribute("form", form);
        model.addAttribute("problems", problems);
        model.addAttribute("zones", new TreeSet<>(ZoneId.getAvailableZoneIds()));
        return "account/first-visit";
    }
}
