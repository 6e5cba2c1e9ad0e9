package io.causticon.web.places.trial;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.SensoryScale;
import io.causticon.core.model.log.WashFeel;
import io.causticon.core.model.plan.Aspect;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.Problems;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.ProblemWords;
import io.causticon.web.shared.print.DrawingAnswer;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.Logbook;
import io.causticon.web.store.batch.PhotoService;
import io.causticon.web.store.trial.Trials;
import java.io.IOException;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.util.UriComponentsBuilder;

/** Trials: asked, made, judged one arm after another, and read. */
@Controller
@RequestMapping("/trials")
class TrialController {

    private static final String JUDGE = "judge";
    private static final String WATER = "water";
    private static final int LONGEST_JUDGE = 80;

    private final Trials trials;
    private final TrialPages pages;
    private final ArmMaking making;
    private final Rounds rounds;
    private final Winners winners;
    private final Logbook logbook;
    private final PhotoService photos;
    private final ProblemWords words;

    TrialController(
            Trials trials,
            TrialPages pages,
            ArmMaking making,
            Rounds rounds,
            Winners winners,
            Logbook logbook,
            PhotoService photos,
            ProblemWords words) {
        this.trials = trials;
        this.pages = pages;
        this.making = making;
        this.rounds = rounds;
        this.winners = winners;
        this.logbook = logbook;
        this.photos = photos;
        this.words = words;
    }

    @GetMapping
    String all(Model model) {
        return all(model, TrialForm.EMPTY, TrialForm.EMPTY, Map.of());
    }

    private String all(Model model, TrialForm form, TrialForm toMake, Map<String, String> problems) {
        model.addAttribute("trials", trials.all());
        model.addAttribute("divided", pages.divided());
        model.addAttribute("recipes", making.choices());
        model.addAttribute("factors", Aspect.Factor.values());
        model.addAttribute("form", form);
        model.addAttribute("make", toMake);
        model.addAttribute("problems", problems);
        model.addAttribute("key", UUID.randomUUID().toString());
        return "trial/trials";
    }

    /** Asks it of what is there. */
    @PostMapping
    String ask(Model model, Maker maker, TrialForm form, @RequestParam String key) {
        Problems problems = new Problems();
        Trials.Asked asked = TrialPages.asked(form, problems);
        List<Trials.Arm> arms = pages.arms(form, problems);
        if (!problems.isEmpty()) {
            return all(model, form, TrialForm.EMPTY, told(problems.all(), "", maker));
        }
        return "redirect:/trials/" + trials.keep(asked, arms, maker, key);
    }

    /** Asks it of arms that are planned now and made then. */
    @PostMapping("/make")
    String make(Model model, Maker maker, TrialForm form, @RequestParam String key) {
        Problems problems = new Problems();
        Trials.Asked asked = TrialPages.asked(form, problems);
        Problems ofArms = new Problems();
        List<Trials.Arm> arms = making.arms(form, maker, ofArms);
        problems.addAll(ofArms.all());
        if (!problems.isEmpty()) {
            return all(model, TrialForm.EMPTY, form, told(problems.all(), "make-", maker));
        }
        Trials.Asked of = new Trials.Asked(
                asked.question(),
                asked.factor(),
                asked.kind(),
                asked.coded(),
                making.recipe(form).orElse(null));
        return "redirect:/trials/" + trials.keep(of, arms, maker, key);
    }

    private Map<String, String> told(List<Problem> problems, String before, Maker maker) {
        Map<String, String> told = new HashMap<>();
        for (Problem p : problems) {
            told.merge(
                    before + p.field(),
                    words.of(p, maker.formats()),
                    (one, two) -> one.equals(two) ? one : one + " " + two);
        }
        return told;
    }

    @GetMapping("/{id}")
    String show(@PathVariable UUID id, Model model, Maker maker) {
        return show(trials.get(id), model, maker, Map.of());
    }

    /** What one scale came to as a file. */
    @GetMapping("/{id}/scale-{number}.{kind:svg|png}")
    ResponseEntity<byte[]> scale(
            @PathVariable UUID id, @PathVariable int number, @PathVariable String kind, Maker maker) {
        List<Drawing> charts = pages.page(trials.get(id), maker).results().stream()
                .map(TrialPage.Result::chart)
                .toList();
        return DrawingAnswer.of(charts, number, kind, "trial-scale");
    }

    private String show(Trials.Trial trial, Model model, Maker maker, Map<String, String> problems) {
        model.addAttribute("page", pages.page(trial, maker));
        model.addAttribute("problems", problems);
        model.addAttribute(JUDGE, maker.displayName());
        model.addAttribute("key", UUID.randomUUID().toString());
        return "trial/trial";
    }

    /** Begins what one pot is planned for. */
    @PostMapping("/{id}/begin")
    String begin(@PathVariable UUID id, Maker maker, @RequestParam int pot) {
        return "redirect:/bench/" + trials.begin(trials.get(id), pot, maker);
    }

    /** How hard the water is that all arms are washed with. */
    @PostMapping("/{id}/water")
    String water(
            @PathVariable UUID id, Model model, Maker maker, @RequestParam String hardness, @RequestParam String key) {
        Trials.Trial trial = trials.get(id);
        try {
            for (BatchId batch : trial.arms().stream()
                    .flatMap(a -> a.batch().stream())
                    .distinct()
                    .toList()) {
                logbook.log(batch, "water hardness " + hardness.strip(), "", Duration.ZERO, maker, key + batch);
            }
        } catch (ProblemsException e) {
            model.addAttribute("hardness", hardness);
            return show(
                    trial,
                    model,
                    maker,
                    Map.of(
                            "hardness",
                            "\"" + hardness.strip()
                                    + "\" is no hardness. Type it with its unit: 12 dH, 210 mg/l, 12 gpg."));
        }
        return "redirect:/trials/" + id;
    }

    /** The arm that is made from now on. */
    @PostMapping("/{id}/winner")
    String winner(@PathVariable UUID id, Model model, Maker maker, @RequestParam int arm) {
        Trials.Trial trial = trials.get(id);
        try {
            return "redirect:/plan/" + winners.intoRecipe(trial, arm, maker);
        } catch (ProblemsException e) {
            return show(trial, model, maker, told(e.problems(), "", maker));
        }
    }

    /** The next arm before a judge; the trial with a word about it when there is none. */
    @GetMapping("/{id}/round")
    String round(
            @PathVariable UUID id,
            Model model,
            Maker maker,
            @RequestParam(defaultValue = "") String judge,
            @RequestParam(defaultValue = "") String water) {
        Map<String, String> typed = new TreeMap<>();
        typed.put(WATER, water);
        return round(trials.get(id), model, maker, named(judge, maker), typed, Map.of());
    }

    private static String named(String judge, Maker maker) {
        String name = judge.strip();
        return name.isEmpty() ? maker.displayName() : name.substring(0, Math.min(LONGEST_JUDGE, name.length()));
    }

    private String round(
            Trials.Trial trial,
            Model model,
            Maker maker,
            String judge,
            Map<String, String> typed,
            Map<String, String> problems) {
        Problems none = new Problems();
        Optional<Rounds.Turn> turn = rounds.turn(trial, judge, none);
        if (turn.isEmpty()) {
            return show(trial, model, maker, told(none.all(), "", maker));
        }
        model.addAttribute("trial", trial);
        model.addAttribute("turn", turn.get());
        model.addAttribute("scales", SensoryScale.values());
        model.addAttribute("drawn", AnchorDrawing.all());
        model.addAttribute("typed", typed);
        model.addAttribute("problems", problems);
        model.addAttribute("key", UUID.randomUUID().toString());
        return "trial/round";
    }

    /** Grades of one arm, or that it burns: then nobody goes on. */
    @PostMapping("/{id}/round")
    String judged(
            @PathVariable UUID id,
            Model model,
            Maker maker,
            @RequestParam Map<String, String> typed,
            @RequestParam String key,
            @RequestParam(required = false) @Nullable MultipartFile photo)
            throws IOException {
        Trials.Trial trial = trials.get(id);
        String judge = named(typed.getOrDefault(JUDGE, ""), maker);
        Problems problems = new Problems();
        Optional<Rounds.Turn> turn = rounds.turn(trial, judge, problems);
        boolean another =
                turn.isPresent() && !Integer.toString(turn.get().arm()).equals(typed.get("arm"));
        if (turn.isEmpty() || another) {
            // Sent twice, or from a page of yesterday: where the round stands is shown, and nothing is graded that is
            // not in the hand.
            return turn.isEmpty()
                    ? show(trial, model, maker, told(problems.all(), "", maker))
                    : "redirect:" + address(trial, judge, typed);
        }
        BatchId batch = trial.arms().get(turn.get().arm()).batch().orElseThrow();
        if (typed.containsKey("burns")) {
            logbook.log(batch, new Entry.WashTested(WashFeel.BURNING, rounds.bars(trial, turn.get())), "", maker, key);
            return "redirect:/trials/" + id;
        }
        Entry.Judged entry = rounds.judged(trial, turn.get(), typed, maker, problems);
        Optional<Entry.PhotoTaken> picture = picture(trial, turn.get(), batch, photo, problems);
        if (!problems.isEmpty()) {
            return round(trial, model, maker, judge, new TreeMap<>(typed), told(problems.all(), "", maker));
        }
        try {
            rounds.keep(trial, turn.get(), entry, maker, key);
            picture.ifPresent(p -> logbook.log(batch, p, "", maker, key + "picture"));
        } catch (ProblemsException e) {
            if (!Rounds.wasKept(e)) {
                throw e;
            }
        }
        return "redirect:" + address(trial, judge, typed);
    }

    /** The lather, from the same distance each time. */
    private Optional<Entry.PhotoTaken> picture(
            Trials.Trial trial, Rounds.Turn turn, BatchId batch, @Nullable MultipartFile photo, Problems problems)
            throws IOException {
        if (photo == null || photo.isEmpty()) {
            return Optional.empty();
        }
        String name = photo.getOriginalFilename() == null ? "" : photo.getOriginalFilename();
        byte[] bytes = photo.getBytes();
        return problems.take(
                () -> Optional.of(new Entry.PhotoTaken(
                        photos.keep(batch, name, bytes),
                        "lather at " + turn.age() + ", " + turn.judge(),
                        rounds.bars(trial, turn))),
                Optional.empty());
    }

    private static String address(Trials.Trial trial, String judge, Map<String, String> typed) {
        return UriComponentsBuilder.fromPath("/trials/" + trial.id() + "/round")
                .queryParam(JUDGE, "{judge}")
                .queryParam(WATER, "{water}")
                .encode()
                .buildAndExpand(judge, typed.getOrDefault(WATER, "").strip())
                .toUriString();
    }

    @PostMapping("/{id}/away")
    String putAway(@PathVariable UUID id) {
        trials.putAway(id);
        return "redirect:/trials";
    }
}
