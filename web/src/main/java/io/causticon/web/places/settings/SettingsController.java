package io.causticon.web.places.settings;

import io.causticon.core.model.said.notation.NumberNotation;
import io.causticon.core.model.said.notation.TemperatureNotation;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.Problems;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.security.KnownBrowsers;
import io.causticon.web.shared.AtOnce;
import io.causticon.web.shared.ProblemWords;
import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.account.Knock;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.account.Passkeys;
import io.causticon.web.store.account.Role;
import io.causticon.web.store.account.SignIns;
import io.causticon.web.store.account.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A maker's own settings, the workshop's, and who signs in. */
@Controller
class SettingsController {

    private final AccountService accounts;
    private final SignIns signIns;
    private final Passkeys passkeys;
    private final KnownBrowsers browsers;
    private final ProblemWords words;

    SettingsController(
            AccountService accounts,
            Passkeys passkeys,
            SignIns signIns,
            KnownBrowsers browsers,
            ProblemWords words) {
        this.accounts = accounts;
        this.passkeys = passkeys;
        this.signIns = signIns;
        this.browsers = browsers;
        this.words = words;
    }

    @GetMapping("/settings")
    String settings(Model model, Maker maker) {
        return show(model, maker, Map.of(), "");
    }

    @PostMapping("/settings")
    String prefer(
            Maker maker,
            @RequestParam Units.MassUnit mass,
            @RequestParam Units.TemperatureUnit temperature,
            @RequestParam String theme) {
        accounts.prefer(maker.name(), new Units(mass, temperature), theme);
        return "redirect:/settings";
    }

    @PostMapping("/settings/password")
    String password(
            Model model,
            Maker maker,
            @AuthenticationPrincipal SignedIn here,
            @RequestParam String old,
            @RequestParam String password,
            HttpServletRequest request) {
        try {
            Knock knock = browsers.knock(maker.name(), request);
            accounts.changePassword(maker.name(), old, password, here.signIn(), knock);
            return show(model, maker, Map.of(), "The password is changed. Everywhere else you are signed out.");
        } catch (ProblemsException e) {
            return show(model, maker, words.byField(e.problems(), maker.formats()), "");
        }
    }

    /** Ends every sign-in of hers, here too. */
    @PostMapping("/settings/sign-out-everywhere")
    String signOutEverywhere(@AuthenticationPrincipal SignedIn here) {
        signIns.endAll(here.account());
        return "redirect:/sign-in?out";
    }

    @PostMapping("/people/workshop")
    String workshop(
            Model model,
            Maker maker,
            @RequestParam String workshop,
            @RequestParam String zone,
            @RequestParam String room,
            @RequestParam String mixAt,
            @RequestParam String within,
            @RequestParam String currency) {
        Problems problems = new Problems();
        AccountService.Habits habits = new AccountService.Habits(
                workshop,
                zone,
                problems.take(() -> TemperatureNotation.read("room", room, maker.units()), maker.room()),
                problems.take(() -> TemperatureNotation.read("mixAt", mixAt, maker.units()), maker.mixAt()),
                problems.take(() -> TemperatureNotation.readChange("within", within, maker.units()), maker.within()),
                currency);
        try {
            accounts.change(habits, problems);
            return "redirect:/settings";
        } catch (ProblemsException e) {
            return shownAsTyped(model, maker, habits, e, room, mixAt, within);
        }
    }

    private String shownAsTyped(
            Model model,
            Maker maker,
            AccountService.Habits typed,
            ProblemsException e,
            String room,
            String mixAt,
            String within) {
        String shown = show(model, maker, words.byField(e.problems(), maker.formats()), "");
        model.addAllAttributes(Map.of(
                "typedWorkshop",
                typed.name(),
                "typedZone",
                typed.zone(),
                "typedCurrency",
                typed.currency(),
                "room",
                room,
                "mixAt",
                mixAt,
                "within",
                within));
        return shown;
    }

    @PostMapping("/people")
    String add(
            Model model,
            Maker maker,
            @RequestParam String name,
            @RequestParam String displayName,
            @RequestParam String password,
            @RequestParam Role role) {
        try {
            AtOnce.named("name", name.trim(), () -> accounts.create(name, displayName, password, role));
            return "redirect:/settings";
        } catch (ProblemsException e) {
            model.addAttribute("typedName", name);
            model.addAttribute("typedDisplayName", displayName);
            // The page has another password too.
            List<Problem> there = e.problems().stream()
                    .map(p -> p.field().equals("password") ? p.movedTo("newPassword") : p)
                    .toList();
            return show(model, maker, words.byField(there, maker.formats()), "");
        }
    }

    @PostMapping("/people/role")
    String become(
            Model model,
            Maker maker,
            @RequestParam String name,
            @RequestParam Role role,
            @RequestParam(defaultValue = "false") boolean active,
            @RequestParam(defaultValue = "false") boolean passwordAlone) {
        try {
            accounts.become(name, role, active);
            if (passwordAlone) {
                passkeys.letPasswordDo(name);
            }
            return "redirect:/settings";
        } catch (ProblemsException e) {
            return show(model, maker, words.byField(e.problems(), maker.formats()), "");
        }
    }

    private String show(Model model, Maker maker, Map<String, String> problems, String done) {
        model.addAttribute("settings", maker);
        model.addAttribute("typedWorkshop", maker.workshop());
        model.addAttribute("typedZone", maker.zone().getId());
        model.addAttribute("typedCurrency", maker.currency());
        model.addAttribute("mixAt", maker.formats().temperatureNumber(maker.mixAt()));
        model.addAttribute(
                "within",
                NumberNotation.write(maker.formats().degreesApart(maker.within().kelvin()), 1));
        model.addAttribute("room", maker.formats().temperatureNumber(maker.room()));
        model.addAttribute("roomUnit", maker.formats().temperatureUnit());
        model.addAttribute("problems", problems);
        model.addAttribute("done", done);
        model.addAttribute("zones", new TreeSet<>(ZoneId.getAvailableZoneIds()));
        model.addAttribute("roles", Role.values());
        if (maker.role() == Role.OWNER) {
            model.addAttribute("people", accounts.people());
        }
        return "account/settings";
    }
}
