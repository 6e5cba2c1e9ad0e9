package io.causticon.web.security;

import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.shared.FormField;
import io.causticon.web.shared.Frame;
import io.causticon.web.shared.ProblemWords;
import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.account.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.net.URI;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The page that asks for the password again, with all that a form held, and leads on to what was to be done. */
@Controller
@ControllerAdvice
class PasswordAgainController {

    private static final String PASSWORD = "again";
    private static final String TO = "to";
    private static final String METHOD = "method";
    private static final String PASSKEY = "againPasskey";
    private static final Set<String> OF_THE_FORM_ITSELF = Set.of("_csrf", PASSWORD, PASSKEY, TO, METHOD);

    private final AccountService accounts;
    private final KnownBrowsers browsers;
    private final PasskeySignatures signatures;
    private final PasswordAgain again;
    private final ProblemWords words;

    PasswordAgainController(
            AccountService accounts,
            KnownBrowsers browsers,
            PasskeySignatures signatures,
            PasswordAgain again,
            ProblemWords words) {
        this.accounts = accounts;
        this.browsers = browsers;
        this.signatures = signatures;
        this.again = again;
        this.words = words;
    }

    @ExceptionHandler(PasswordAgain.WantedException.class)
    String ask(Frame frame, HttpServletRequest request, HttpServletResponse response, Model model) {
        String query = HttpMethod.GET.matches(request.getMethod()) && request.getQueryString() != null
                ? "?" + request.getQueryString()
                : "";
        response.setStatus(HttpStatus.FORBIDDEN.value());
        model.addAttribute("frame", frame);
        return show(model, request, request.getMethod(), request.getRequestURI() + query, "");
    }

    @PostMapping("/again")
    Object check(
            Model model,
            Maker maker,
            HttpServletRequest request,
            @AuthenticationPrincipal SignedIn here,
            @RequestParam(name = PASSWORD, defaultValue = "") String password,
            @RequestParam(name = PASSKEY, defaultValue = "") String passkey,
            @RequestParam(METHOD) String method,
            @RequestParam(TO) String to) {
        HttpMethod done = HttpMethod.valueOf(method);
        String path = pathOf(to).filter(p -> PasswordAgain.isGuarded(done, p)).orElse("");
        if (path.isEmpty()) {
            return "redirect:/";
        }
        try {
            if (passkey.isEmpty()) {
                accounts.prove(maker.name(), password, browsers.knock(maker.name(), request));
            } else if (signatures
                    .whose(passkey, request)
                    .filter(here.account()::equals)
                    .isEmpty()) {
                throw ProblemsException.of(PASSWORD, ProblemKey.NOT_A_PASSKEY);
            }
        } catch (ProblemsException e) {
            String why = words.byField(e.problems(), maker.formats()).getOrDefault(PASSWORD, "");
            return show(model, request, method, to, why);
        }
        again.typed(request);
        // A form is sent once more as it was, by the browser itself.
        return ResponseEntity.status(HttpMethod.GET.equals(done) ? HttpStatus.SEE_OTHER : HttpStatus.TEMPORARY_REDIRECT)
                .header(HttpHeaders.LOCATION, to)
                .build();
    }

    /** Of an address here; empty where it is none. */
    private static Optional<String> pathOf(String to) {
        try {
            URI uri = URI.create(to);
            return Optional.ofNullable(uri.getRawPath())
                    .filter(p -> to.startsWith("/") && !to.startsWith("//") && !uri.isAbsolute());
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    private static String show(Model model, HttpServletRequest request, String method, String to, String problem) {
        model.addAttribute(
                "fields",
                HttpMethod.GET.matches(method) ? List.of() : FormField.of(request, OF_THE_FORM_ITSELF));
        model.addAttribute(METHOD, method);
        model.addAttribute(TO, to);
        model.addAttribute("problem", problem);
        return "account/again";
    }
}
