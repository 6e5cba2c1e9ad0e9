package io.causticon.web.account;

import io.causticon.core.notation.TemperatureNotation;
import io.causticon.core.notation.Units;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.shared.ProblemWords;
import java.util.Map;
import java.util.TreeSet;
import java.time.ZoneId;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A maker's own settings, the workshop's, and who signs in. */
@Controller
class SettingsController {

    private final AccountService accounts;
    private final ProblemWords words;

    SettingsController(AccountService accounts, ProblemWords words) {
        this.accounts = accounts;
        this.words = words;
    }

    @GetMapping("/settings")
    String settings(Model model, @ModelAttribute("maker") Maker maker) {
        return show(model, maker, Map.of(), "");
    }

    @PostMapping("/settings")
    String prefer(
            @ModelAttribute("maker") Maker maker,
            @RequestParam Units.MassUnit mass,
            @RequestParam Units.TemperatureUnit temperature,
            @RequestParam String theme) {
        accounts.prefer(maker.name(), new Units(mass, temperature), theme);
        return "redirect:/settings";
    }

    @PostMapping("/settings/password")
    String password(
            Model model, @ModelAttribute("maker") Maker maker, @RequestParam String old, @RequestParam String password) {
        try {
            accounts.changePassword(maker.name(), old, password);
            return show(model, maker, Map.of(), "The password is changed.");
        } catch (ProblemsException e) {
            return show(model, maker, words.byField(e.problems(), maker.formats()), "");
        }
    }

    @PostMapping("/people/workshop")
    String workshop(
            Model model,
            @ModelAttribute("maker") Maker maker,
            @RequestParam String workshop,
            @RequestParam String zone,
            @RequestParam String room,
            @RequestParam(defaultValue = "") String currency) {
        try {
            double celsius = TemperatureNotation.read("room", room, maker.units()).celsius();
            accounts.saveWorkshop(workshop, zone, celsius);
            if (!currency.isBlank()) {
                accounts.payIn(currency);
            }
            return "redirect:/settings";
        } catch (ProblemsException e) {
            return show(model, maker, words.byField(e.problems(), maker.formats()), "");
        }
    }

    @PostMapping("/people")
    String add(
            Model model,
            @ModelAttribute("maker") Maker maker,
            @RequestParam String name,
            @RequestParam String displayName,
            @RequestParam String password,
            @RequestParam Role role) {
        try {
            accounts.create(name, displayName, password, role);
            return "redirect:/settings";
        } catch (ProblemsException e) {
            model.addAttribute("typedName", name);
            model.addAttribute("typedDisplayName", displayName);
            return show(model, maker, words.byField(e.problems(), maker.formats()), "");
        }
    }

    @PostMapping("/people/role")
    String become(
            Model model,
            @ModelAttribute("maker") Maker maker,
            @RequestParam String name,
            @RequestParam Role role,
            @RequestParam(defaultValue = "false") boolean active) {
        try {
            accounts.become(name, role, active);
            return "redirect:/settings";
        } catch (ProblemsException e) {
            return show(model, maker, words.byField(e.problems(), maker.formats()), "");
        }
    }

    /** One line of the list of people. */
    record Person(String name, String displayName, Role role, boolean active) {}

    private String show(Model model, Maker maker, Map<String, String> problems, String done) {
        model.addAttribute("settings", maker);
        model.addAttribute("room", maker.formats().temperatureNumber(maker.room()));
        model.addAttribute("roomUnit", maker.formats().temperatureUnit());
        model.addAttribute("problems", problems);
        model.addAttribute("done", done);
        model.addAttribute("zones", new TreeSet<>(ZoneId.getAvailableZoneIds()));
        model.addAttribute("roles", Role.values());
        if (maker.role() == Role.OWNER) {
            model.addAttribute(
                    "people",
                    accounts.all().stream()
                            .map(a -> new Person(a.name(), a.displayName(), a.role(), a.active()))
                            .toList());
        }
        return "account/settings";
    }
}
