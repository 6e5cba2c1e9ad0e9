package io.causticon.web.cure;

import io.causticon.core.diagnosis.BarTest;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.account.Maker;
import io.causticon.web.batch.BatchId;
import io.causticon.web.batch.BatchService;
import io.causticon.web.batch.Logbook;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A batch after the cut: weighing and testing its bars. Whatever is answered becomes a line of the log, read like any other. */
@Controller
@RequestMapping("/batch/{id}/cure")
class CureController {

    private static final List<String> WHERE = List.of("sold", "gave", "kept", "destroyed");
    private static final String CITRIC = "citric";

    /** How an acid is said in a line; the strength stands within. */
    private static final Map<String, String> ACIDS = Map.of(
            "standard", "ml of {strength} N", CITRIC, "g of {strength} % citric", "monohydrate", "g of {strength} % citric monohydrate");

    private final BatchService batches;
    private final CurePages pages;
    private final Logbook logbook;

    CureController(BatchService batches, CurePages pages, Logbook logbook) {
        this.batches = batches;
        this.pages = pages;
        this.logbook = logbook;
    }

    @GetMapping
    String show(@PathVariable UUID id, Model model, @ModelAttribute("maker") Maker maker, @RequestParam(defaultValue = "") String test) {
        return show(new BatchId(id), model, maker, test, new TreeMap<>());
    }

    /** One bar was weighed. */
    @PostMapping("/weigh")
    String weigh(@PathVariable UUID id, Model model, @ModelAttribute("maker") Maker maker, @RequestParam Map<String, String> typed, @RequestParam String key) {
        return log(new BatchId(id), model, maker, typed, typed.getOrDefault("bar", ""), "bar", key);
    }

    /** A test was done: its answer at a tap, or the numbers that came of it; on which bar. */
    @PostMapping("/test")
    String test(@PathVariable UUID id, Model model, @ModelAttribute("maker") Maker maker, @RequestParam Map<String, String> typed, @RequestParam String key) {
        BarTest test = BarTest.called(typed.getOrDefault("test", ""));
        String line = typed.getOrDefault("answer", "");
        boolean known = test.answers().stream().anyMatch(a -> a.line().equals(line));
        String said = known ? line : numbers(test, typed);
        String on = typed.getOrDefault("on", "").trim();
        return log(new BatchId(id), model, maker, typed, on.isEmpty() ? said : said + " on " + (on.matches("\\d.*") ? "bar " : "") + on, "test", key);
    }

    /** Bars left the rack: how many or which, where to, to whom. */
    @PostMapping("/went")
    String went(@PathVariable UUID id, Model model, @ModelAttribute("maker") Maker maker, @RequestParam Map<String, String> typed, @RequestParam String key) {
        String where = WHERE.contains(typed.getOrDefault("where", "")) ? typed.get("where") : WHERE.get(0);
        String bars = typed.getOrDefault("bars", "").trim();
        String to = typed.getOrDefault("to", "").trim();
        String line = where + " " + bars + (to.isEmpty() ? "" : " to \"" + to.replace("\"", "\"\"") + "\"");
        return log(new BatchId(id), model, maker, typed, line, "went", key);
    }

    private static String numbers(BarTest test, Map<String, String> typed) {
        String line = test.line().replace("{acid}", ACIDS.getOrDefault(typed.getOrDefault("acid", ""), ACIDS.get("standard")));
        for (BarTest.Blank blank : test.blanks()) {
            // What is left out stays a blank that no line knows.
            line = line.replace("{" + blank.name() + "}", typed.getOrDefault(blank.name(), "").trim());
        }
        return line;
    }

    private String log(BatchId id, Model model, Maker maker, Map<String, String> typed, String line, String part, String key) {
        try {
            if ("went".equals(part) && typed.getOrDefault("bars", "").isBlank()) {
                throw ProblemsException.of("bars", ProblemKey.MISSING);
            }
            logbook.log(id, line, "", Duration.ZERO, maker, key);
            return "redirect:/batch/" + id + "/cure";
        } catch (ProblemsException e) {
            model.addAttribute(part + "Problem", logbook.problem(e.problems(), maker));
            return show(id, model, maker, typed.getOrDefault("test", ""), new TreeMap<>(typed));
        }
    }

    private String show(BatchId id, Model model, Maker maker, String test, Map<String, String> typed) {
        model.addAttribute("page", pages.page(batches.get(id), maker, test));
        model.addAttribute("typed", typed);
        model.asMap().putIfAbsent("barProblem", "");
        model.asMap().putIfAbsent("testProblem", "");
        model.asMap().putIfAbsent("wentProblem", "");
        model.addAttribute("key", UUID.randomUUID().toString());
        return "cure/cure";
    }
}
