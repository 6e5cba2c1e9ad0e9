package io.causticon.web.trial;

import io.causticon.core.observation.Entry;
import io.causticon.core.observation.SensoryScale;
import io.causticon.core.observation.WashFeel;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.account.Maker;
import io.causticon.web.batch.Logbook;
import io.causticon.web.shared.ProblemWords;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
import org.springframework.web.util.UriComponentsBuilder;

/** Trials: asked, judged one arm after another, and read. */
@Controller
@RequestMapping("/trials")
class TrialController {

    private static final String JUDGE = "judge";
    private static final int LONGEST_JUDGE = 80;

    private final Trials trials;
    private final TrialPages pages;
    private final Logbook logbook;
    private final ProblemWords words;

    TrialController(Trials trials, TrialPages pages, Logbook logbook, ProblemWords words) {
        this.trials = trials;
        this.pages = pages;
        this.logbook = logbook;
        this.words = words;
    }

    @GetMapping
    String all(Model model) {
        return all(model, TrialForm.EMPTY, Map.of());
    }

    private String all(Model model, TrialForm form, Map<String, String> problems) {
        model.addAttribute("trials", trials.all());
        model.addAttribute("divided", pages.divided());
        model.addAttribute("form", form);
        model.addAttribute("problems", problems);
        model.addAttribute("key", UUID.randomUUID().toString());
        return "trial/trials";
    }

    @PostMapping
    String ask(Model model, @ModelAttribute("maker") Maker maker, TrialForm form, @RequestParam String key) {
        Problems problems = new Problems();
        List<Trials.Arm> arms = pages.arms(form, problems);
        if (!problems.isEmpty()) {
            return all(model, form, told(problems, maker));
        }
        UUID id = trials.keep(TrialForm.trimmed(form.question()), TrialForm.trimmed(form.factor()), form.coded() != null, arms, maker, key);
        return "redirect:/trials/" + id;
    }

    private Map<String, String> told(Problems problems, Maker maker) {
        Map<String, String> told = new HashMap<>();
        for (Problem p : problems.all()) {
            told.putIfAbsent(p.field(), words.of(p, maker.formats()));
        }
        return told;
    }

    @GetMapping("/{id}")
    String show(@PathVariable UUID id, Model model, @ModelAttribute("maker") Maker maker) {
        return show(trials.get(id), model, maker, Map.of());
    }

    private String show(Trials.Trial trial, Model model, Maker maker, Map<String, String> problems) {
        model.addAttribute("page", pages.page(trial, maker));
        model.addAttribute("problems", problems);
        model.addAttribute(JUDGE, maker.displayName());
        return "trial/trial";
    }

    /** The next arm before a judge; the trial with a word about it when there is none. */
    @GetMapping("/{id}/round")
    String round(@PathVariable UUID id, Model model, @ModelAttribute("maker") Maker maker, @RequestParam(defaultValue = "") String judge) {
        return round(trials.get(id), model, maker, named(judge, maker), new TreeMap<>(), Map.of());
    }

    private static String named(String judge, Maker maker) {
        String name = judge.strip();
        return name.isEmpty() ? maker.displayName() : name.substring(0, Math.min(LONGEST_JUDGE, name.length()));
    }

    private String round(Trials.Trial trial, Model model, Maker maker, String judge, Map<String, String> typed, Map<String, String> problems) {
        Problems none = new Problems();
        Optional<TrialPage.Turn> turn = pages.turn(trial, judge, none);
        if (turn.isEmpty()) {
            return show(trial, model, maker, told(none, maker));
        }
        model.addAttribute("trial", trial);
        model.addAttribute("turn", turn.get());
        model.addAttribute("scales", SensoryScale.values());
        model.addAttribute("typed", typed);
        model.addAttribute("problems", problems);
        model.addAttribute("key", UUID.randomUUID().toString());
        return "trial/round";
    }

    /** Grades of one arm, or that it burns: then nobody goes on. */
    @PostMapping("/{id}/round")
    String judged(
            @PathVariable UUID id, Model model, @ModelAttribute("maker") Maker maker, @RequestParam Map<String, String> typed, @RequestParam String key) {
        Trials.Trial trial = trials.get(id);
        String judge = named(typed.getOrDefault(JUDGE, ""), maker);
        Problems problems = new Problems();
        Optional<TrialPage.Turn> turn = pages.turn(trial, judge, problems);
        boolean another = turn.isPresent() && !Integer.toString(turn.get().arm()).equals(typed.get("arm"));
        if (turn.isEmpty() || another) {
            // Sent twice, or from a page of yesterday: where the round stands is shown, and nothing is graded that is not in the hand.
            return turn.isEmpty() ? show(trial, model, maker, told(problems, maker)) : "redirect:" + address(trial, judge);
        }
        if (typed.containsKey("burns")) {
            logbook.log(trial.arms().get(turn.get().arm()).batch(), new Entry.WashTested(WashFeel.BURNING, pages.bars(trial, turn.get())), "", maker, key);
            return "redirect:/trials/" + id;
        }
        Entry.Judged entry = pages.judged(trial, turn.get(), typed, problems);
        if (!problems.isEmpty()) {
            return round(trial, model, maker, judge, new TreeMap<>(typed), told(problems, maker));
        }
        try {
            pages.keep(trial, turn.get(), entry, maker, key);
        } catch (ProblemsException e) {
            if (e.problems().stream().anyMatch(p -> p.key() != ProblemKey.JUDGED_ALREADY)) {
                throw e;
            }
        }
        return "redirect:" + address(trial, judge);
    }

    private static String address(Trials.Trial trial, String judge) {
        return UriComponentsBuilder.fromPath("/trials/" + trial.id() + "/round").queryParam(JUDGE, "{judge}").encode().buildAndExpand(judge).toUriString();
    }

    @PostMapping("/{id}/away")
    String putAway(@PathVariable UUID id) {
        trials.putAway(id);
        return "redirect:/trials";
    }
}
