package io.causticon.web.places.plan;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.LiquidState;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.workshop.preflight.WorkshopFacts;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.shared.ProblemWords;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.recipe.DraftService;
import io.causticon.web.store.recipe.RecipeService;
import io.causticon.web.store.shelf.Pantry;
import io.causticon.web.store.shelf.ShelfService;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;

/** The composer's page: what is typed, what follows from it, and the draft that it is kept in. */
@Component
class ComposePages {

    private static final String UNNAMED = "Unnamed";
    private static final int MADE_SHOWN = 4;
    private static final int LONGEST_PAGE = 40;
    private static final Instant FAR = Instant.parse("9999-12-31T00:00:00Z");
    private static final List<String> SMALL_FIELDS = List.of(
            "superfat",
            "lyeMass",
            "purity",
            "naohShare",
            "kohPurity",
            "mixAt",
            "freezer",
            "fatStep",
            "lyeStep",
            "mould",
            "process",
            "gel");
    private static final List<String> MOULD_FIELDS = List.of("fillHeight", "overage", "thickness", "spare");
    private static final List<String> FIT_FIELDS = List.of("fit", "mostCost", "mostChange");

    private final RecipeService recipes;
    private final BatchService batches;
    private final DraftService drafts;
    private final ShelfService shelf;
    private final WorkshopMemory memory;
    private final ProblemWords words;

    ComposePages(
            RecipeService recipes,
            BatchService batches,
            DraftService drafts,
            ShelfService shelf,
            WorkshopMemory memory,
            ProblemWords words) {
        this.recipes = recipes;
        this.batches = batches;
        this.drafts = drafts;
        this.shelf = shelf;
        this.memory = memory;
        this.words = words;
    }

    /**
     * What a request is about.
     *
     * @param form what is typed
     * @param maker who typed it
     * @param pantry what stands on the shelf
     * @param recipe whose; null of a new one
     * @param version begun from; 0 of a new one
     * @param before what that says; null of a new one
     * @param sheet the page and the draft that it is kept in
     */
    record Sitting(
            PlanForm form,
            Maker maker,
            Pantry pantry,
            @Nullable UUID recipe,
            int version,
            @Nullable BatchPlan before,
            DraftService.Sheet sheet) {

        /** The same, begun from another version. */
        Sitting from(int other) {
            return new Sitting(form, maker, pantry, recipe, other, before, sheet);
        }

        Sitting with(PlanForm other) {
            return new Sitting(other, maker, pantry, recipe, version, before, sheet);
        }

        private Sitting on(DraftService.Sheet other) {
            return new Sitting(form, maker, pantry, recipe, version, before, other);
        }

        PlanReader.Result read() {
            return new PlanReader(form, maker.units(), pantry, before).read();
        }

        /** Read for a drawing or a change: a name is not needed for that. */
        PlanReader.Result readUnnamed() {
            return form.has("name") ? read() : with(form.with("name", UNNAMED)).read();
        }
    }

    /** A recipe that is opened. */
    Sitting opened(PlanForm form, Maker maker, Pantry pantry, RecipeService.Recipe recipe, BatchPlan before) {
        return new Sitting(
                form,
                maker,
                pantry,
                recipe.recipe(),
                recipe.version(),
                before,
                sheet(drafts.of(maker, recipe.recipe()), null));
    }

    /**
     * A new recipe.
     *
     * @param before what it is made of; null where it is made of nothing
     */
    Sitting begun(PlanForm form, Maker maker, Pantry pantry, @Nullable BatchPlan before) {
        return new Sitting(form, maker, pantry, null, 0, before, sheet(UUID.randomUUID(), null));
    }

    /** A draft as it was left. */
    Sitting left(DraftService.Draft draft, Maker maker) {
        return sitting(draft.typed(), maker, id(draft.typed(), "recipe")).on(sheet(draft.id(), draft.changed()));
    }

    /** What was typed, with the fields that say of what. */
    Sitting typed(MultiValueMap<String, String> typed, Maker maker) {
        UUID recipe = id(typed, "recipe");
        UUID draft = id(typed, "draft");
        String page = Optional.ofNullable(typed.getFirst("page")).orElse("");
        DraftService.Sheet sheet = new DraftService.Sheet(
                draft != null ? draft : recipe != null ? drafts.of(maker, recipe) : UUID.randomUUID(),
                page.length() > LONGEST_PAGE ? "" : page,
                // Who says that hers counts has seen all there is.
                typed.containsKey("over") ? FAR : seen(typed));
        return sitting(typed, maker, recipe).on(sheet);
    }

    private Sitting sitting(MultiValueMap<String, String> typed, Maker maker, @Nullable UUID recipe) {
        int version = version(typed);
        BatchPlan before = recipe == null || version == 0
                ? null
                : recipes.at(recipe, version).plan();
        return new Sitting(
                PlanForm.typed(typed), maker, shelf.pantry(), recipe, version, before, sheet(UUID.randomUUID(), null));
    }

    private static DraftService.Sheet sheet(UUID draft, @Nullable Instant seen) {
        return new DraftService.Sheet(draft, UUID.randomUUID().toString(), seen);
    }

    private static @Nullable UUID id(MultiValueMap<String, String> typed, String field) {
        String id = typed.getFirst(field);
        try {
            return id == null || id.isBlank() ? null : UUID.fromString(id);
        } catch (IllegalArgumentException e) {
            throw new NotFoundException(field + " " + id);
        }
    }

    private static int version(MultiValueMap<String, String> typed) {
        String version = typed.getFirst("version");
        try {
            return version == null || version.isBlank() ? 0 : Integer.parseInt(version);
        } catch (NumberFormatException e) {
            throw new NotFoundException("version " + version);
        }
    }

    private static @Nullable Instant seen(MultiValueMap<String, String> typed) {
        String seen = typed.getFirst("seen");
        try {
            return seen == null || seen.isBlank() ? null : Instant.ofEpochMilli(Long.parseLong(seen));
        } catch (NumberFormatException e) {
            return null;
        }
    }

    /** Shows the form after a change of its plan; a form that is no plan is shown with what keeps it from being one. */
    String changed(Model model, Sitting s, BiFunction<Sitting, BatchPlan, PlanForm> change) {
        PlanReader.Result result = s.readUnnamed();
        if (result.plan().isEmpty()) {
            return answer(model, s, wording(result.problems().all(), s.maker()));
        }
        return composed(
                model,
                s,
                t -> change.apply(t, result.plan().get()).with("name", t.form().get("name")));
    }

    /** Shows the form after a change of what is typed, or as it is with what keeps it from being changed. */
    String composed(Model model, Sitting s, Function<Sitting, PlanForm> change) {
        try {
            return answer(model, s.with(change.apply(s)), Map.of());
        } catch (ProblemsException e) {
            return answer(model, s, wording(e.problems(), s.maker()));
        }
    }

    Map<String, String> wording(List<Problem> problems, Maker maker) {
        return words.byField(problems, maker.formats());
    }

    /** What the workshop knows that the plan does not say. */
    WorkshopFacts workshop(BatchPlan plan, Sitting s) {
        return memory.facts(plan, s.pantry(), s.maker());
    }

    Reckoner reckoner(BatchPlan plan, Sitting s) {
        return new Reckoner(plan, s.maker(), workshop(plan, s), s.pantry().prices());
    }

    /** What follows from a form, which is kept as a draft. */
    String reckoned(Model model, Sitting s) {
        model.addAttribute("recipe", s.recipe() == null ? "" : s.recipe().toString());
        model.addAttribute("sheet", kept(model, s, s.sheet().page()));
        reckon(model, s);
        return "plan/reckoning :: reckoning";
    }

    /** The page in answer to a form, which is kept as a draft. */
    String answer(Model model, Sitting s, Map<String, String> problems) {
        return show(model, s.on(kept(model, s, UUID.randomUUID().toString())), problems);
    }

    /** A draft that another page changed since is left as it is, and that is told. */
    private DraftService.Sheet kept(Model model, Sitting s, String page) {
        if (!s.maker().role().canWrite()) {
            return s.sheet().shownAs(page, s.sheet().seen());
        }
        MultiValueMap<String, String> fields = s.form().fields();
        fields.add("version", Integer.toString(s.version()));
        if (s.recipe() != null) {
            fields.add("recipe", s.recipe().toString());
        }
        Optional<Instant> kept = drafts.keep(s.maker(), s.sheet(), page, s.recipe(), fields);
        if (kept.isEmpty()) {
            drafts.find(s.maker(), s.sheet().draft())
                    .ifPresent(d ->
                            model.addAttribute("elsewhere", s.maker().formats().moment(d.changed())));
        }
        return s.sheet().shownAs(page, kept.orElse(s.sheet().seen()));
    }

    private void reckon(Model model, Sitting s) {
        PlanReader.Result result = s.readUnnamed();
        model.addAttribute(
                "reckoning",
                result.plan().map(p -> reckoner(p, s).reckon(s.form())).orElse(null));
        boolean untouched = result.problems().all().stream().allMatch(p -> p.key() == ProblemKey.NO_FATS);
        model.addAttribute("untouched", untouched);
        model.addAttribute("hands", result.plan().map(memory::hands).orElse(List.of()));
        model.addAttribute("reckonProblems", wording(result.problems().all(), s.maker()));
    }

    String show(Model model, Sitting sitting, Map<String, String> problems) {
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
        model.addAttribute("states", LiquidState.values());
        model.addAttribute("sheet", s.sheet());
        model.addAttribute("key", UUID.randomUUID().toString());
        return "plan/compose";
    }
}
