package io.causticon.web.places.plan;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Purpose;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.said.notation.NumberNotation;
import io.causticon.core.model.said.notation.TimeNotation;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.science.diagnosis.knowledge.StandardKnowledge;
import io.causticon.core.science.diagnosis.network.Condition;
import io.causticon.core.workshop.advice.NextVersion;
import io.causticon.web.places.plan.ComposePages.Sitting;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.shared.Redirect;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.recipe.DraftService;
import io.causticon.web.store.recipe.RecipeService;
import io.causticon.web.store.shelf.Pantry;
import io.causticon.web.store.shelf.ShelfService;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Recipes: choosing, composing, beginning a batch. */
@Controller
@RequestMapping("/plan")
class PlanController {

    private static final String COPY = ", a copy";

    private final RecipeService recipes;
    private final BatchService batches;
    private final ShelfService shelf;
    private final WorkshopMemory memory;
    private final Beginnings beginnings;
    private final DraftService drafts;
    private final ComposePages pages;
    private final Clock clock;

    PlanController(
            RecipeService recipes,
            BatchService batches,
            ShelfService shelf,
            WorkshopMemory memory,
            Beginnings beginnings,
            DraftService drafts,
            ComposePages pages,
            Clock clock) {
        this.recipes = recipes;
        this.batches = batches;
        this.shelf = shelf;
        this.memory = memory;
        this.beginnings = beginnings;
        this.drafts = drafts;
        this.pages = pages;
        this.clock = clock;
    }

    /** One recipe to choose. */
    record Card(String id, String name, String version, String fats, String facts) {}

    @GetMapping
    String choose(Model model, Maker maker) {
        model.addAttribute("recipes", cards(recipes.all(false), maker));
        model.addAttribute("away", cards(recipes.all(true), maker));
        model.addAttribute(
                "underWay",
                drafts.underWay(maker).stream()
                        .map(d -> new Card(
                                d.id().toString(),
                                d.name().isBlank() ? "No name yet" : d.name(),
                                "",
                                "",
                                maker.formats().moment(d.changed())))
                        .toList());
        return "plan/choose";
    }

    private static List<Card> cards(List<RecipeService.Kept> kept, Maker maker) {
        return kept.stream()
                .map(r -> r.newest()
                        .map(n -> card(n, maker.formats()))
                        .orElseGet(() -> new Card(
                                r.recipe().toString(),
                                r.name(),
                                "",
                                "cannot be understood",
                                "open it to see what is kept")))
                .toList();
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
                + NumberNotation.write(plan.formula().superfat().inPercent(), 1) + " %";
        return new Card(recipe.recipe().toString(), plan.name(), "version " + recipe.version(), fats, facts);
    }

    @GetMapping("/new")
    String fresh(Model model, Maker maker) {
        Pantry pantry = shelf.pantry();
        PlanForm form = PlanForm.fresh(
                maker.formats(),
                maker.mixAt(),
                pantry.moulds().get(0).name(),
                memory.lastLyeVessel(pantry),
                memory.lastFatsVessel(pantry));
        return pages.show(model, pages.begun(form, maker, pantry, null), Map.of());
    }

    /** A new recipe as it was left. */
    @GetMapping("/new/{draft}")
    String left(@PathVariable UUID draft, Model model, Maker maker) {
        Optional<DraftService.Draft> kept = drafts.find(maker, draft);
        if (kept.isEmpty()) {
            // Saved since, or thrown away; or its first words are still with the browser, which then leads back.
            return "redirect:/plan#" + draft;
        }
        model.addAttribute("left", maker.formats().moment(kept.get().changed()));
        return pages.show(model, pages.left(kept.get(), maker), Map.of());
    }

    /** Throws a draft away. */
    @PostMapping("/draft/away")
    String throwAway(Maker maker, @RequestParam UUID draft, @RequestParam(required = false) @Nullable UUID recipe) {
        drafts.drop(maker, draft);
        return recipe == null ? "redirect:/plan" : "redirect:/plan/" + recipe;
    }

    /** Puts a recipe away, or brings it back. */
    @PostMapping("/{id}/away")
    String putAway(@PathVariable UUID id, @RequestParam(defaultValue = "false") boolean back) {
        recipes.putAway(id, !back);
        return back ? "redirect:/plan/" + id : "redirect:/plan#away";
    }

    @GetMapping("/{id}")
    String open(
            @PathVariable UUID id,
            Model model,
            Maker maker,
            @RequestParam(required = false) @Nullable Integer version,
            @RequestParam(defaultValue = "false") boolean copy) {
        RecipeService.Recipe recipe = version == null ? recipes.latest(id) : recipes.at(id, version);
        PlanForm form = PlanForm.of(recipe.plan(), maker.formats());
        if (copy) {
            // Kept as one of its own once it is saved.
            return pages.show(
                    model,
                    pages.begun(form.with("name", recipe.plan().name() + COPY), maker, shelf.pantry(), recipe.plan()),
                    Map.of());
        }
        Optional<DraftService.Draft> draft =
                version == null ? drafts.ofRecipe(maker, id) : Optional.empty();
        model.addAttribute("retired", recipes.isPutAway(id));
        if (draft.isPresent()) {
            model.addAttribute("left", maker.formats().moment(draft.get().changed()));
            return pages.show(model, pages.left(draft.get(), maker), Map.of());
        }
        return pages.show(model, pages.opened(form, maker, shelf.pantry(), recipe, recipe.plan()), Map.of());
    }

    /**
     * Proposes the next version of a recipe after a batch that had something; nothing is kept until the maker keeps it.
     */
    @GetMapping("/after/{batch}")
    String after(@PathVariable UUID batch, Model model, Maker maker, @RequestParam String condition) {
        Batch made = batches.get(new BatchId(batch));
        Condition had = condition(condition).orElseThrow(() -> new NotFoundException("condition " + condition));
        if (made.plan().isRework()) {
            // It has no recipe: the next one is melted down from what there is then.
            return "redirect:/rework";
        }
        BatchPlan plan = batches.recipe(made.id())
                .map(recipes::latest)
                .map(RecipeService.Recipe::plan)
                .orElse(made.plan());
        model.addAttribute("proposedAfter", made.name() + ", " + had.name());
        return proposed(made, plan, List.of(had), model, maker);
    }

    /** Makes a batch again as it was made, with what was concluded about it as proposals. */
    @GetMapping("/again/{batch}")
    String again(@PathVariable UUID batch, Model model, Maker maker) {
        Batch made = batches.get(new BatchId(batch));
        if (made.plan().isRework()) {
            return "redirect:/rework";
        }
        List<Condition> had = made.log()
                .of(Entry.Concluded.class)
                .map(c -> c.entry().condition().id())
                .distinct()
                .flatMap(id -> condition(id == null ? "" : id).stream())
                .toList();
        model.addAttribute(
                "proposedAfter",
                made.name() + " of " + maker.formats().date(made.log().begun())
                        + (had.isEmpty()
                                ? ""
                                : ", " + had.stream().map(Condition::name).collect(Collectors.joining(", "))));
        return proposed(made, made.plan(), had, model, maker);
    }

    private static Optional<Condition> condition(String id) {
        return StandardKnowledge.all().conditions().stream()
                .filter(c -> c.id().equals(id))
                .findFirst();
    }

    private String proposed(Batch made, BatchPlan from, List<Condition> had, Model model, Maker maker) {
        BatchPlan plan = from;
        List<String> changes = new ArrayList<>();
        for (Condition one : had) {
            String note = one.name() + " on " + maker.formats().day(made.log().begun()) + ": "
                    + StandardKnowledge.all().remedy(one).nextTime();
            NextVersion next = NextVersion.after(one.id(), plan, note);
            next.changes().stream().map(maker.formats()::phrase).forEach(changes::add);
            plan = next.plan();
        }
        changes.add(
                had.isEmpty()
                        ? "as it was made, since no conclusion about it asks for a change"
                        : "a note of what to do next time");
        model.addAttribute("proposal", changes);
        PlanForm form = PlanForm.of(plan, maker.formats());
        Pantry pantry = shelf.pantry();
        return pages.show(
                model,
                batches.recipe(made.id())
                        .map(recipes::latest)
                        .map(r -> pages.opened(form, maker, pantry, r, r.plan()))
                        .orElseGet(() -> pages.begun(form, maker, pantry, from)),
                Map.of());
    }

    @PostMapping("/save")
    String save(
            Model model,
            Maker maker,
            @RequestParam MultiValueMap<String, String> typed,
            @RequestParam(defaultValue = "") String key) {
        Sitting s = pages.typed(typed, maker);
        PlanReader.Result result = s.read();
        if (result.plan().isEmpty()) {
            return pages.answer(model, s, pages.wording(result.problems().all(), maker));
        }
        try {
            return "redirect:/plan/" + keep(s, result.plan().get(), key).recipe();
        } catch (ProblemsException e) {
            return pages.answer(model, told(s, e), pages.wording(e.problems(), maker));
        }
    }

    /** Keeps the recipe and begins a batch from it. */
    @PostMapping("/make")
    String make(
            Model model,
            Maker maker,
            @RequestParam MultiValueMap<String, String> typed,
            @RequestParam(defaultValue = "") String begun,
            @RequestParam(defaultValue = "MADE") Purpose purpose,
            @RequestParam String key) {
        Sitting s = pages.typed(typed, maker);
        PlanReader.Result result = s.read();
        model.addAttribute("begun", begun);
        model.addAttribute("purpose", purpose);
        if (result.plan().isEmpty()) {
            return pages.answer(model, s, pages.wording(result.problems().all(), maker));
        }
        try {
            Instant now = clock.instant();
            Instant start = begun.isBlank() ? now : TimeNotation.read("begun", begun, Instant.EPOCH, now, maker.zone());
            RecipeService.Recipe kept = keep(s, result.plan().get(), key);
            BatchId batch = beginnings.begin(kept, purpose, start, maker, key);
            return Redirect.to(
                    "/bench/" + batch,
                    "at",
                    begun.isBlank() ? "" : maker.formats().input(start));
        } catch (ProblemsException e) {
            return pages.answer(model, told(s, e), pages.wording(e.problems(), maker));
        }
    }

    /** Who was told of a later version begins from that: saved once more, hers is put on top. */
    private Sitting told(Sitting s, ProblemsException e) {
        boolean newer = e.problems().stream().anyMatch(p -> p.key() == ProblemKey.NEWER_VERSION);
        return newer && s.recipe() != null ? s.from(recipes.versions(s.recipe()).get(0)) : s;
    }

    /** What is saved is no draft any more. */
    private RecipeService.Recipe keep(Sitting s, BatchPlan plan, String key) {
        RecipeService.Recipe kept = beginnings.keep(s.recipe(), plan, s.version(), s.maker(), key);
        drafts.saved(s.maker(), s.sheet());
        return kept;
    }
}
