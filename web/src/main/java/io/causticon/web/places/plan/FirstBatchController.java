package io.causticon.web.places.plan;

import io.causticon.core.model.log.Purpose;
import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Superfat;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.model.said.notation.NumberNotation;
import io.causticon.core.model.said.note.NotedLine;
import io.causticon.core.model.said.note.NotedLine.What;
import io.causticon.core.model.said.note.RecipeNote;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Share;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.shared.ProblemWords;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.recipe.RecipeService;
import io.causticon.web.store.shelf.Pantry;
import io.causticon.web.store.shelf.ShelfService;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The shortest roads to a first weight: a note that is typed as it stands, and recipes to begin with. */
@Controller
@RequestMapping("/plan/first")
class FirstBatchController {

    private static final int LONGEST_NOTE = 4000;
    private static final double HALF_A_POINT = 0.5;

    private final Beginnings beginnings;
    private final ShelfService shelf;
    private final WorkshopMemory memory;
    private final ProblemWords words;
    private final Clock clock;

    FirstBatchController(
            Beginnings beginnings, ShelfService shelf, WorkshopMemory memory, ProblemWords words, Clock clock) {
        this.beginnings = beginnings;
        this.shelf = shelf;
        this.memory = memory;
        this.words = words;
        this.clock = clock;
    }

    /** What is typed on the page. */
    record Typed(
            @Nullable String note,
            @Nullable String name,
            @Nullable String mould) {

        String noteText() {
            return note == null ? "" : note.length() > LONGEST_NOTE ? note.substring(0, LONGEST_NOTE) : note;
        }

        String nameText() {
            return name == null ? "" : name;
        }
    }

    /**
     * How a line of the note was read.
     *
     * @param words what it means, or as it was typed
     * @param amount how much
     * @param problem why it is not understood; empty where it is
     */
    record LineWords(String words, String amount, String problem) {}

    @GetMapping
    String show(Model model, Maker maker, Typed typed) {
        return page(model, maker, typed, List.of());
    }

    /** Reads the note while it is typed; keeps nothing. */
    @PostMapping("/read")
    String read(Model model, Maker maker, Typed typed) {
        noted(model, maker, typed);
        return "plan/noted :: noted";
    }

    /** Keeps the note as a recipe and opens it, or begins a batch from it. */
    @PostMapping
    String keep(
            Model model,
            Maker maker,
            Typed typed,
            @RequestParam(defaultValue = "false") boolean make,
            @RequestParam String key) {
        RecipeNote note =
                RecipeNote.read(typed.noteText(), maker.units(), shelf.pantry().catalogue());
        PlanReader.Result result = plan(note, maker, typed);
        if (make && result.plan().isPresent()) {
            checkLeavesNoExcess(result.plan().get(), result.problems());
        }
        if (note.isUnderstood() && result.problems().isEmpty()) {
            return kept(result.plan().get(), maker, make, key);
        }
        return page(model, maker, typed, result.problems().all());
    }

    /**
     * Nobody goes from a note straight to the scale with more lye than the fats take; as a recipe it can be looked at
     * and mended.
     */
    private static void checkLeavesNoExcess(BatchPlan plan, Problems problems) {
        Estimate superfat = Superfat.distribution(
                Weights.planned(plan.formula()).shownOn(plan.scales()),
                plan.formula().alkali(),
                plan.scales());
        if (superfat.probabilityBelow(0) >= Superfat.ALARMING_EXCESS.fraction()) {
            problems.add(
                    "note",
                    ProblemKey.LYE_IN_EXCESS,
                    plan.formula().superfat(),
                    Share.fraction(superfat.probabilityBelow(0)));
        }
    }

    /** Keeps one of the recipes to begin with, made for a mould. */
    @PostMapping("/start")
    String start(
            Model model,
            Maker maker,
            Typed typed,
            @RequestParam(defaultValue = "") String which,
            @RequestParam(defaultValue = "false") boolean make,
            @RequestParam String key) {
        StartingRecipe chosen = StartingRecipe.ALL.stream()
                .filter(s -> s.id().equals(which))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("starting recipe " + which));
        Pantry pantry = shelf.pantry();
        PlanReader.Result result =
                new PlanReader(chosen.on(fresh(maker, pantry, typed)), maker.units(), pantry, null).read();
        return result.plan().isPresent()
                ? kept(result.plan().get(), maker, make, key)
                : page(model, maker, typed, result.problems().all());
    }

    private String kept(BatchPlan plan, Maker maker, boolean make, String key) {
        RecipeService.Recipe recipe = beginnings.keep(null, plan, 0, maker, key);
        return make
                ? "redirect:/bench/" + beginnings.begin(recipe, Purpose.MADE, clock.instant(), maker, key)
                : "redirect:/plan/" + recipe.recipe();
    }

    private PlanForm fresh(Maker maker, Pantry pantry, Typed typed) {
        String mould = typed.mould() == null ? pantry.moulds().get(0).name() : typed.mould();
        return PlanForm.fresh(
                maker.formats(), maker.mixAt(), mould, memory.lastLyeVessel(pantry), memory.lastFatsVessel(pantry));
    }

    private PlanReader.Result plan(RecipeNote note, Maker maker, Typed typed) {
        Pantry pantry = shelf.pantry();
        PlanForm form = NotedRecipe.form(note, fresh(maker, pantry, typed), typed.nameText(), maker.formats());
        return new PlanReader(form, maker.units(), pantry, null).read();
    }

    private void noted(Model model, Maker maker, Typed typed) {
        Pantry pantry = shelf.pantry();
        RecipeNote note = RecipeNote.read(typed.noteText(), maker.units(), pantry.catalogue());
        model.addAttribute(
                "lines",
                note.lines().stream().map(l -> words(l, maker.formats())).toList());
        List<String> untold = new ArrayList<>();
        boolean fats = !note.of(What.FAT).isEmpty();
        PlanReader.Result result = plan(note, maker, typed);
        Optional<BatchPlan> plan = result.plan();
        if (fats && plan.isEmpty()) {
            result.problems().all().stream()
                    .filter(p -> p.key() != ProblemKey.NO_FATS)
                    .forEach(p -> untold.add(words.of(p, maker.formats())));
        }
        plan.ifPresent(p -> untold.addAll(saidTwice(p, note, maker.formats())));
        model.addAttribute("untold", untold.stream().distinct().toList());
        model.addAttribute(
                "reckoning",
                plan.map(p -> new Reckoner(p, maker, memory.facts(p, pantry, maker), pantry.prices())
                                .reckon(PlanForm.of(p, maker.formats())))
                        .orElse(null));
        boolean given = !note.of(What.SODIUM_HYDROXIDE).isEmpty()
                || !note.of(What.POTASSIUM_HYDROXIDE).isEmpty();
        model.addAttribute(
                "assumed",
                plan.map(p -> assumed(p, note, given, maker.formats())).orElse(""));
    }

    /** Where masses and figures of the note do not go together, the masses lead, and that is said. */
    private static List<String> saidTwice(BatchPlan plan, RecipeNote note, Formats formats) {
        List<String> words = new ArrayList<>();
        double superfat = plan.formula().superfat().inPercent();
        if (plan.formula().fixed().lye() != null
                && Math.abs(note.percent(What.SUPERFAT).orElse(superfat) - superfat) > HALF_A_POINT) {
            words.add("The note says superfat "
                    + Formats.number(note.percent(What.SUPERFAT).getAsDouble(), 1) + " %; its lye leaves "
                    + formats.percent(plan.formula().superfat(), 1) + ". The lye leads.");
        }
        double concentration = AlkaliBalance.of(plan.formula()).concentration().inPercent();
        if (plan.formula().fixed().liquid() != null
                && Math.abs(note.percent(What.CONCENTRATION).orElse(concentration) - concentration) > HALF_A_POINT) {
            words.add("The note says a lye concentration of "
                    + Formats.number(note.percent(What.CONCENTRATION).getAsDouble(), 1) + " %; its liquid makes "
                    + Formats.number(concentration, 1) + " %. The liquid leads.");
        }
        return words;
    }

    /** What the note did not say and is taken as usual. */
    private static String assumed(BatchPlan plan, RecipeNote note, boolean lyeGiven, Formats formats) {
        List<String> taken = new ArrayList<>();
        if (!lyeGiven && note.percent(What.SUPERFAT).isEmpty()) {
            taken.add(
                    "superfat " + NumberNotation.write(plan.formula().superfat().inPercent(), 1) + " %");
        }
        if (note.of(What.LIQUID).isEmpty() && note.percent(What.CONCENTRATION).isEmpty()) {
            taken.add("water for a lye concentration of "
                    + formats.percent(AlkaliBalance.of(plan.formula()).concentration(), 0));
        }
        taken.add("lye of " + formats.percent(plan.formula().alkali().naohPurity(), 0) + " purity");
        return "Taken as usual: " + String.join(", ", taken) + ".";
    }

    private LineWords words(NotedLine line, Formats formats) {
        String problem = line.problem()
                .map(p -> words.of(p, formats)
                        + (line.maybe().isEmpty() ? "" : " Maybe: " + String.join("; ", line.maybe()) + "."))
                .orElse("");
        String amount = line.mass()
                .map(formats::mass)
                .orElseGet(() -> line.percent().isPresent()
                        ? Formats.number(line.percent().getAsDouble(), 1) + " %"
                        : "");
        return new LineWords(problem.isEmpty() ? name(line) : line.text(), amount, problem);
    }

    private static String name(NotedLine line) {
        return line.what()
                .map(w -> switch (w) {
                    case SODIUM_HYDROXIDE -> "Lye, NaOH";
                    case POTASSIUM_HYDROXIDE -> "Lye, KOH";
                    case SUPERFAT -> "Superfat";
                    case CONCENTRATION -> "Lye concentration";
                    case TOTAL -> "All fats together";
                    case FAT, LIQUID, ADDITIVE -> line.name();
                })
                .orElse(line.name());
    }

    private String page(Model model, Maker maker, Typed typed, List<Problem> problems) {
        noted(model, maker, typed);
        Pantry pantry = shelf.pantry();
        model.addAttribute("typed", typed);
        model.addAttribute("problems", words.byField(problems, maker.formats()));
        model.addAttribute("starts", StartingRecipe.ALL);
        model.addAttribute("moulds", pantry.moulds());
        model.addAttribute("unit", maker.formats().massUnit());
        model.addAttribute("key", UUID.randomUUID().toString());
        return "plan/first";
    }
}
