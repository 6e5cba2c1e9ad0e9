package io.causticon.web.exchange.api;

import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.shared.ProblemWords;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.token.AccessTokenRow;
import io.causticon.web.store.token.AccessTokens;
import io.causticon.web.store.token.Scope;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The programs that may ask, for the owner. */
@Controller
class TokenController {

    private final AccessTokens tokens;
    private final ProblemWords words;

    TokenController(AccessTokens tokens, ProblemWords words) {
        this.tokens = tokens;
        this.words = words;
    }

    /** One line of the list. */
    record Line(UUID id, String name, String may, String by, String used, boolean over) {}

    @GetMapping("/people/tokens")
    String list(Model model, Maker maker) {
        return show(model, maker, Map.of(), "", Set.of(Scope.READ), "", "");
    }

    @PostMapping("/people/tokens")
    String make(
            Model model,
            Maker maker,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") Set<Scope> scopes,
            @RequestParam(defaultValue = "") String endsOn) {
        try {
            return show(
                    model, maker, Map.of(), "", Set.of(Scope.READ), "", tokens.make(name, scopes, day(endsOn), maker));
        } catch (ProblemsException e) {
            return show(model, maker, words.byField(e.problems(), maker.formats()), name, scopes, endsOn, "");
        }
    }

    private static @Nullable LocalDate day(String typed) {
        try {
            return typed.isBlank() ? null : LocalDate.parse(typed.trim());
        } catch (DateTimeParseException e) {
            throw ProblemsException.of("endsOn", ProblemKey.NOT_A_DAY, typed);
        }
    }

    @PostMapping("/people/tokens/{id}/withdraw")
    String withdraw(@PathVariable UUID id) {
        tokens.withdraw(id);
        return "redirect:/people/tokens";
    }

    private String show(
            Model model,
            Maker maker,
            Map<String, String> problems,
            String typed,
            Set<Scope> chosen,
            String endsOn,
            String token) {
        model.addAttribute(
                "tokens", tokens.all().stream().map(t -> line(t, maker)).toList());
        model.addAttribute("scopes", List.of(Scope.values()));
        model.addAttribute("chosen", chosen);
        model.addAttribute("problems", problems);
        model.addAttribute("typedName", typed);
        model.addAttribute("typedEndsOn", endsOn);
        model.addAttribute("token", token);
        return "api/tokens";
    }

    private static Line line(AccessTokenRow t, Maker maker) {
        String may = t.allows().stream().map(Scope::words).collect(Collectors.joining(", "));
        String until = t.endsOn() == null
                ? ""
                : ", until "
                        + maker.formats()
                                .date(t.endsOn().atStartOfDay(maker.zone()).toInstant());
        String used = t.usedAt() == null
                ? "never used"
                : "last used " + maker.formats().moment(t.usedAt());
        return new Line(
                t.id(),
                t.name(),
                (may.isEmpty() ? "nothing that is understood here" : may) + until,
                "for " + t.accountName() + ", since " + maker.formats().moment(t.madeAt()),
                t.withdrawnAt() == null ? used : "withdrawn " + maker.formats().moment(t.withdrawnAt()),
                t.withdrawnAt() != null);
    }
}
