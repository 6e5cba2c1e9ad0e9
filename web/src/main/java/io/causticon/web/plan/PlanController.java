package io.causticon.web.plan;

import io.causticon.core.formula.BatchPlan;
import io.causticon.core.formula.GelGoal;
import io.causticon.core.formula.LiquidTarget;
import io.causticon.core.formula.Process;
import io.causticon.core.notation.TimeNotation;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.substance.Catalogue;
import io.causticon.web.account.Maker;
import io.causticon.web.batch.BatchId;
import io.causticon.web.batch.BatchService;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.ProblemWords;
import io.causticon.web.shelf.ShelfService;
import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
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
    private static final List<String> SMALL_FIELDS =
            List.of("superfat", "purity", "naohShare", "kohPurity", "mixAt", "fatStep", "lyeStep");

    private final RecipeService recipes;
    private final BatchService batches;
    private final ShelfService shelf;
    private final ProblemWords words;
    private final Clock clock;

    PlanController(
            RecipeService recipes, BatchService batches, ShelfService shelf, ProblemWords words, Clock clock) {
        this.recipes = recipes;
        this.batches = batches;
        this.shelf = shelf;
        this.words = words;
        this.clock = clock;
    }

    /** One recipe to choose. */
    record Card(String id, String name, String version, String fats, String facts) {}

    @GetMapping
    String choose(Model model, @ModelAttribute("maker") Maker maker) {
        model.addAttribute("recipes", recipes.all().stream().map(r -> card(r, maker.formats())).toList());
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
        PlanForm form = PlanForm.fresh(maker.formats(), shelf.moulds().get(0).name());
        return show(model, maker, form, null, 0, Map.of());
    }

    @GetMapping("/{id}")
    String open(
            @PathVariable UUID id,
            Model model,
            @ModelAttribute("maker") Maker maker,
            @RequestParam(required = false) @Nullable Integer version) {
        RecipeService.Recipe recipe = version == null ? recipes.latest(id) : recipes.at(id, version);
        return show(model, maker, PlanForm.of(recipe.plan(), maker.formats()), id, recipe.version(), Map.of());
    }

    /** Works out a form without keeping it. */
    @PostMapping("/reckon")
    String reckon(
            Model model, @ModelAttribute("maker") Maker maker, @RequestParam MultiValueMap<String, String> typed) {
        reckon(model, maker, PlanForm.typed(typed));
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
        return show(model, maker, PlanForm.typed(typed), recipe, version, Map.of());
    }

    @PostMapping("/save")
    String save(
            Model model,
            @ModelAttribute("maker") Maker maker,
            @RequestParam MultiValueMap<String, String> typed,
            @RequestParam(required = false) @Nullable UUID recipe,
            @RequestParam(defaultValue = "0") int version) {
        PlanForm form = PlanForm.typed(typed);
        PlanReader.Result result = read(form, maker);
        if (result.plan().isEmpty()) {
            return show(model, maker, form, recipe, version, wording(result.problems().all(), maker));
        }
        return "redirect:/plan/" + keep(recipe, result.plan().get(), maker).recipe();
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
            @RequestParam String key) {
        PlanForm form = PlanForm.typed(typed);
        PlanReader.Result result = read(form, maker);
        if (result.plan().isEmpty()) {
            return show(model, maker, form, recipe, version, wording(result.problems().all(), maker));
        }
        try {
            Instant now = clock.instant();
            Instant start = begun.isBlank()
                    ? now
                    : TimeNotation.read("begun", begun, Instant.EPOCH, now, maker.zone());
            RecipeService.Recipe kept = keep(recipe, result.plan().get(), maker);
            BatchId batch = batches.begin(
                    kept.plan(), kept.recipe(), kept.version(), start, maker.displayName(), maker.zone(), key);
            return "redirect:/bench/" + batch + (begun.isBlank() ? "" : "?at=" + maker.formats().input(start));
        } catch (ProblemsException e) {
            model.addAttribute("begun", begun);
            return show(model, maker, form, recipe, version, wording(e.problems(), maker));
        }
    }

    private RecipeService.Recipe keep(@Nullable UUID recipe, BatchPlan plan, Maker maker) {
        return recipe == null
                ? recipes.create(plan, maker.displayName())
                : recipes.save(recipe, plan, maker.displayName());
    }

    private PlanReader.Result read(PlanForm form, Maker maker) {
        return new PlanReader(form, maker.units(), shelf::mould).read();
    }

    private Map<String, String> wording(List<Problem> problems, Maker maker) {
        return words.byField(problems, maker.formats());
    }

    private void reckon(Model model, Maker maker, PlanForm form) {
        PlanForm named = form.name().isBlank() ? form.named(UNNAMED) : form;
        PlanReader.Result result = read(named, maker);
        model.addAttribute("reckoning", result.plan().map(p -> new Reckoner(p, maker).reckon(form)).orElse(null));
        boolean untouched = result.problems().all().stream().allMatch(p -> p.key() == ProblemKey.NO_FATS);
        model.addAttribute("untouched", untouched);
        model.addAttribute("reckonProblems", wording(result.problems().all(), maker));
    }

    private String show(
            Model model,
            Maker maker,
            PlanForm form,
            @Nullable UUID recipe,
            int version,
            Map<String, String> problems) {
        PlanForm roomy = form.withRoom();
        reckon(model, maker, roomy);
        model.addAttribute("form", roomy);
        model.addAttribute("title", form.name().isBlank() ? "A recipe" : form.name());
        model.addAttribute("smallFields", SMALL_FIELDS);
        model.addAttribute("recipe", recipe == null ? "" : recipe.toString());
        model.addAttribute("version", version);
        model.addAttribute("problems", problems);
        model.addAttribute("unit", maker.formats().massUnit());
        model.addAttribute("degrees", maker.formats().temperatureUnit());
        model.addAttribute("fatChoices", Catalogue.standard().fats().stream()
                .sorted(Comparator.comparing(f -> f.name())).toList());
        model.addAttribute("liquidChoices", Catalogue.standard().liquids());
        model.addAttribute("additiveChoices", Catalogue.standard().additives().stream()
                .sorted(Comparator.comparing(a -> a.name())).toList());
        model.addAttribute("moulds", shelf.moulds());
        model.addAttribute("processes", Process.values());
        model.addAttribute("gels", GelGoal.values());
        model.addAttribute("ways", LiquidTarget.Way.values());
        model.addAttribute("key", UUID.randomUUID().toString());
        return "plan/compose";
    }
}
