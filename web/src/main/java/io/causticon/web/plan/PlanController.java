package io.causticon.web.plan;

import io.causticon.core.advice.NextVersion;
import io.causticon.core.diagnosis.Condition;
import io.causticon.core.diagnosis.knowledge.StandardKnowledge;
import io.causticon.core.fit.Proposal;
import io.causticon.core.formula.BatchPlan;
import io.causticon.core.formula.GelGoal;
import io.causticon.core.formula.LiquidTarget;
import io.causticon.core.formula.Pouring.SizedBy;
import io.causticon.core.formula.Process;
import io.causticon.core.notation.TimeNotation;
import io.causticon.core.observation.Purpose;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.account.Maker;
import io.causticon.web.batch.Batch;
import io.causticon.web.batch.BatchId;
import io.causticon.web.batch.BatchService;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.shared.ProblemWords;
import io.causticon.web.shared.Redirect;
import io.causticon.web.shelf.Pantry;
import io.causticon.web.shelf.ShelfService;
import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Recipes: choosing, composing, beginning a batch. */
@Controller
@RequestMapping("/plan")
class PlanController {

    private static final String UNNAMED = "Unnamed";
    private static final String COPY = ", a copy";
    private static final int MADE_SHOWN = 4;
    private static final List<String> SMALL_FIELDS = List.of(
            "superfat", "lyeMass", "purity", "naohShare", "kohPurity", "mixAt", "freezer", "fatStep", "lyeStep", "mould", "process", "gel");
    private static final List<String> MOULD_FIELDS = List.of("fillHeight", "overage", "thickness", "spare");

    private static final List<String> FIT_FIELDS = List.of("fit", "mostCost", "mostChange");

    private final RecipeService recipes;
    private final BatchService batches;
    private final ShelfService shelf;
    private final WorkshopMemory memory;
    private final ProblemWords words;
    private final Clock clock;

    PlanController(
            RecipeService recipes,
            BatchService batches,
            ShelfService shelf,
            WorkshopMemory memory,
            ProblemWords words,
            Clock clock) {
        this.recipes = recipes;
        this.batches = batches;
        this.shelf = shelf;
        this.memory = memory;
        this.words = words;
        this.clock = clock;
    }

    /** One recipe to choose. */
    record Card(String id, String name, String version, String fats, String facts) {}

    /** What a request is about: the form, who typed it, from which version, and what stands on the shelf. */
    private record Sitting(PlanForm form, Maker maker, Pantry pantry, @Nullable UUID recipe, int version, @Nullable BatchPlan before) {

        /** The same, begun from another version. */
        Sitting from(int other) {
            return new Sitting(form, maker, pantry, recipe, other, before);
        }

        Sitting with(PlanForm other) {
            return new Sitting(other, maker, pantry, recipe, version, before);
        }

        PlanReader.Result read() {
            return new PlanReader(form, maker.units(), pantry, before).read();
        }

        /** Read for a drawing or a change: a name is not needed for that. */
        PlanReader.Result readUnnamed() {
            return form.has("name") ? read() : with(form.with("name", UNNAMED)).read();
        }
    }

    @GetMapping
    String choose(Model model, @ModelAttribute("maker") Maker maker) {
        model.addAttribute("recipes", recipes.all().stream()
                .map(r -> r.newest()
                        .map(n -> card(n, maker.formats()))
                        .orElseGet(() -> new Card(r.recipe().toString(), r.name(), "", "cannot be understood", "open it to see what is kept")))
                .toList());
        return "plan/choose";
    }

    private static Card card(RecipeService.Recipe recipe, Formats formats) {
        BatchPlan plan = recipe.plan();
        String fats = plan.formula().fats().stream()
                .sorted(Comparator.comparing(f -> f.mass().times(-1)))
                .limit(4)
                .map(f -> f.fat().shortName())
                .reduce((a, b) -> a + ", " + b)
                .orElse("");
        String facts = formats.roughMass(plan.formula().fatMass()) + " of fats, superfat "
                + formats.percent(plan.formula().superfat(), 0);
        return new Card(recipe.recipe().toString(), plan.name(), "version " + recipe.version(), fats, facts);
    }

    @GetMapping("/new")
    String fresh(Model model, @ModelAttribute("maker") Maker maker) {
        Pantry pantry = shelf.pantry();
        PlanForm form = PlanForm.fresh(
                maker.formats(),
                maker.mixAt(),
                pantry.moulds().get(0).name(),
                memory.lastLyeVessel(pantry),
                memory.lastFatsVessel(pantry));
        return show(model, new Sitting(form, maker, pantry, null, 0, null), Map.of());
    }

    @GetMapping("/{id}")
    String open(
            @PathVariable UUID id,
            Model model,
            @ModelAttribute("maker") Maker maker,
            @RequestParam(required = false) @Nullable Integer version,
            @RequestParam(defaultValue = "false") boolean copy) {
        RecipeService.Recipe recipe = version == null ? recipes.latest(id) : recipes.at(id, version);
        PlanForm form = PlanForm.of(recipe.plan(), maker.formats());
        if (copy) {
            // Kept as one of its own once it is saved.
            return show(model, new Sitting(form.with("name", recipe.plan().name() + COPY), maker, shelf.pantry(), null, 0, recipe.plan()), Map.of());
        }
        return show(model, new Sitting(form, maker, shelf.pantry(), id, recipe.version(), recipe.plan()), Map.of());
    }

    /** Proposes the next version of a recipe after a batch that had something; nothing is kept until the maker keeps it. */
    @GetMapping("/after/{batch}")
    String after(@PathVariable UUID batch, Model model, @ModelAttribute("maker") Maker maker, @RequestParam String condition) {
        Batch made = batches.get(new BatchId(batch));
        Condition had = StandardKnowledge.all().conditions().stream()
                .filter(c -> c.id().equals(condition))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("condition " + condition));
        Optional<RecipeService.Recipe> recipe = batches.recipe(made.id()).map(recipes::latest);
        BatchPlan plan = recipe.map(RecipeService.Recipe::plan).orElse(made.plan());
        String note = had.name() + " on " + maker.formats().day(made.log().begun()) + ": " + StandardKnowledge.all().remedy(had).nextTime();
        NextVersion next = NextVersion.after(condition, plan, note);
        model.addAttribute("proposal", Stream.concat(
                        next.changes().stream().map(maker.formats()::phrase), Stream.of("a note of what to do next time"))
                .toList());
        model.addAttribute("proposedAfter", made.name() + ", " + had.name());
        PlanForm form = PlanForm.of(next.plan(), maker.formats());
        return show(
                model,
                new Sitting(form, maker, shelf.pantry(), recipe.map(RecipeService.Recipe::recipe).orElse(null),
                        recipe.map(RecipeService.Recipe::version).orElse(0), plan),
                Map.of());
    }

    /** Works out a form without keeping it. */
    @PostMapping("/reckon")
    String reckon(
            Model model,
            @ModelAttribute("maker") Maker maker,
            @RequestParam MultiValueMap<String, String> typed,
            @RequestParam(required = false) @Nullable UUID recipe,
            @RequestParam(defaultValue = "0") int version) {
        reckon(model, sitting(typed, maker, recipe, version));
        return "plan/reckoning :: reckoning";
    }

    /** Gives the form an empty row in each list. */
    @PostMapping("/rows")
    String rows(
            Model model,
            @ModelAttribute("maker") Maker maker,
            @RequestParam MultiValueMap<String, String> typed,
            @RequestParam(required = false) @Nullable UUID recipe,
            @RequestParam(defaultValue = "0") int version) {
        return show(model, sitting(typed, maker, recipe, version), Map.of());
    }

    /** Makes one of the changes that what will bite proposes. */
    @PostMapping("/change")
    String change(
            Model model,
            @ModelAttribute("maker") Maker maker,
            @RequestParam MultiValueMap<String, String> typed,
            @RequestParam(required = false) @Nullable UUID recipe,
            @RequestParam(defaultValue = "0") int version,
            @RequestParam String change) {
        return changed(model, sitting(typed, maker, recipe, version), (s, plan) -> {
            Formats formats = maker.formats();
            return reckoner(plan, s).bites().stream()
                    .flatMap(b -> b.changes().stream().filter(c -> change.equals(c.id())))
                    .findFirst()
                    .map(c -> PlanForm.of(c.applyTo(plan), formats).keepingWishesOf(s.form()))
                    .orElse(s.form());
        });
    }

    @PostMapping("/scale")
    String scale(
            Model model,
            @ModelAttribute("maker") Maker maker,
            @RequestParam MultiValueMap<String, String> typed,
            @RequestParam(required = false) @Nullable UUID recipe,
            @RequestParam(defaultValue = "0") int version) {
        return changed(
                model, sitting(typed, maker, recipe, version), (s, plan) -> Composer.scaled(s.form(), plan, maker));
    }

    /** Tells the same recipe by masses, or by shares of a total or of what the mould takes. */
    @PostMapping("/size")
    String size(
            Model model,
            @ModelAttribute("maker") Maker maker,
            @RequestParam MultiValueMap<String, String> typed,
            @RequestParam(required = false) @Nullable UUID recipe,
            @RequestParam(defaultValue = "0") int version,
            @RequestParam SizedBy by) {
        Sitting s = sitting(typed, maker, recipe, version);
        Optional<BatchPlan> plan = s.readUnnamed().plan();
        return plan.isPresent()
                ? show(model, s.with(Composer.sizedBy(s.form(), plan.get(), by, maker)), Map.of())
                : show(model, s.with(s.form().with("sizedBy", by.name())), Map.of());
    }

    /** Brings shares to a whole. */
    @PostMapping("/even")
    String even(
            Model model,
            @ModelAttribute("maker") Maker maker,
            @RequestParam MultiValueMap<String, String> typed,
            @RequestParam(required = false) @Nullable UUID recipe,
            @RequestParam(defaultValue = "0") int version) {
        Sitting s = sitting(typed, maker, recipe, version);
        try {
            return show(model, s.with(Composer.evened(s.form())), Map.of());
        } catch (ProblemsException e) {
            return show(model, s, wording(e.problems(), maker));
        }
    }

    /** Proposes shares that meet what is ticked. */
    @PostMapping("/fit")
    String fit(
            Model model,
            @ModelAttribute("maker") Maker maker,
            @RequestParam MultiValueMap<String, String> typed,
            @RequestParam(required = false) @Nullable UUID recipe,
            @RequestParam(defaultValue = "0") int version,
            @RequestParam(defaultValue = "false") boolean take) {
        return changed(model, sitting(typed, maker, recipe, version), (s, plan) -> {
            Proposal proposal = Composer.fit(s.form(), plan, s.pantry());
            if (take) {
                return PlanForm.of(plan.with(proposal.formula()), maker.formats()).keepingWishesOf(s.form());
            }
            model.addAttribute("fit", FitWords.of(plan, proposal, s.pantry().prices(), memory.trace(), maker));
            return s.form();
        });
    }

    @PostMapping("/save")
    String save(
            Model model,
            @ModelAttribute("maker") Maker maker,
            @RequestParam MultiValueMap<String, String> typed,
            @RequestParam(required = false) @Nullable UUID recipe,
            @RequestParam(defaultValue = "0") int version) {
        Sitting s = sitting(typed, maker, recipe, version);
        PlanReader.Result result = s.read();
        if (result.plan().isEmpty()) {
            return show(model, s, wording(result.problems().all(), maker));
        }
        try {
            return "redirect:/plan/" + keep(recipe, result.plan().get(), version, maker).recipe();
        } catch (ProblemsException e) {
            return show(model, told(s, e), wording(e.problems(), maker));
        }
    }

    /** Keeps the recipe and begins a batch from it. */
    @PostMapping("/make")
    String make(
            Model model,
            @ModelAttribute("maker") Maker maker,
            @RequestParam MultiValueMap<String, String> typed,
            @RequestParam(required = false) @Nullable UUID recipe,
            @RequestParam(defaultValue = "0") int version,
            @RequestParam(defaultValue = "") String begun,
            @RequestParam(defaultValue = "MADE") Purpose purpose,
            @RequestParam String key) {
        Sitting s = sitting(typed, maker, recipe, version);
        PlanReader.Result result = s.read();
        model.addAttribute("begun", begun);
        model.addAttribute("purpose", purpose);
        if (result.plan().isEmpty()) {
            return show(model, s, wording(result.problems().all(), maker));
        }
        try {
            Instant now = clock.instant();
            Instant start = begun.isBlank()
                    ? now
                    : TimeNotation.read("begun", begun, Instant.EPOCH, now, maker.zone());
            RecipeService.Recipe kept = keep(recipe, result.plan().get(), version, maker);
            BatchId batch = batches.beginFor(
                    purpose, kept.plan(), kept.recipe(), kept.version(), start, maker.displayName(), maker.zone(), key);
            return Redirect.to("/bench/" + batch, "at", begun.isBlank() ? "" : maker.formats().input(start));
        } catch (ProblemsException e) {
            return show(model, told(s, e), wording(e.problems(), maker));
        }
    }

    /** Who was told of a later version begins from that: saved once more, hers is put on top. */
    private Sitting told(Sitting s, ProblemsException e) {
        boolean newer = e.problems().stream().anyMatch(p -> p.key() == ProblemKey.NEWER_VERSION);
        return newer && s.recipe() != null ? s.from(recipes.versions(s.recipe()).get(0)) : s;
    }

    private RecipeService.Recipe keep(@Nullable UUID recipe, BatchPlan plan, int base, Maker maker) {
        return recipe == null
                ? recipes.create(plan, maker.displayName())
                : recipes.save(recipe, plan, base, maker.displayName());
    }

    private Sitting sitting(
            MultiValueMap<String, String> typed, Maker maker, @Nullable UUID recipe, int version) {
        BatchPlan before = recipe == null || version == 0 ? null : recipes.at(recipe, version).plan();
        return new Sitting(PlanForm.typed(typed), maker, shelf.pantry(), recipe, version, before);
    }

    /** Shows the form after a change of its plan; a form that is no plan is shown with what keeps it from being one. */
    private String changed(Model model, Sitting s, BiFunction<Sitting, BatchPlan, PlanForm> change) {
        PlanReader.Result result = s.readUnnamed();
        if (result.plan().isEmpty()) {
            return show(model, s, wording(result.problems().all(), s.maker()));
        }
        try {
            PlanForm changed = change.apply(s, result.plan().get());
            return show(model, s.with(changed.with("name", s.form().get("name"))), Map.of());
        } catch (ProblemsException e) {
            return show(model, s, wording(e.problems(), s.maker()));
        }
    }

    private Map<String, String> wording(List<Problem> problems, Maker maker) {
        return words.byField(problems, maker.formats());
    }

    private Reckoner reckoner(BatchPlan plan, Sitting s) {
        return new Reckoner(plan, s.maker(), memory.facts(plan, s.pantry(), s.maker()), s.pantry().prices());
    }

    private void reckon(Model model, Sitting s) {
        PlanReader.Result result = s.readUnnamed();
        model.addAttribute("reckoning", result.plan().map(p -> reckoner(p, s).reckon(s.form())).orElse(null));
        boolean untouched = result.problems().all().stream().allMatch(p -> p.key() == ProblemKey.NO_FATS);
        model.addAttribute("untouched", untouched);
        model.addAttribute("reckonProblems", wording(result.problems().all(), s.maker()));
    }

    private String show(Model model, Sitting sitting, Map<String, String> problems) {
        Sitting s = sitting.with(sitting.form().withRoom());
        Formats formats = s.maker().formats();
        reckon(model, s);
        model.addAttribute("form", s.form());
        model.addAttribute("title", s.form().has("name") ? s.form().get("name") : "A recipe");
        model.addAttribute("smallFields", SMALL_FIELDS);
        model.addAttribute("mouldFields", MOULD_FIELDS);
        model.addAttribute("fitFields", FIT_FIELDS);
        model.addAttribute("recipe", s.recipe() == null ? "" : s.recipe().toString());
        model.addAttribute("version", s.version());
        model.addAttribute("madeInto", s.recipe() == null ? List.of() : batches.madeFrom(s.recipe(), MADE_SHOWN));
        model.addAttribute("problems", problems);
        model.addAttribute("unit", formats.massUnit());
        model.addAttribute("degrees", formats.temperatureUnit());
        model.addAttribute("currency", s.maker().currency());
        model.addAttribute("choices", Choices.of(s.form(), s.pantry(), s.before()));
        model.addAttribute("processes", Process.values());
        model.addAttribute("gels", GelGoal.values());
        model.addAttribute("ways", LiquidTarget.Way.values());
        model.addAttribute("key", UUID.randomUUID().toString());
        return "plan/compose";
    }
}
