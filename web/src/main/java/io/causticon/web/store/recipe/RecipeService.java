package io.causticon.web.store.recipe;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.shared.UnreadableException;
import io.causticon.web.store.batch.PlanCodec;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Recipes in versions: saving a change adds a version, and old batches keep theirs. A name is the recipe's and not a
 * version's: another name alone is no change of what is made.
 */
@Service
public class RecipeService {

    private final RecipeRepository recipes;
    private final VersionRepository versions;
    private final PlanCodec plans;
    private final Clock clock;

    RecipeService(RecipeRepository recipes, VersionRepository versions, PlanCodec plans, Clock clock) {
        this.recipes = recipes;
        this.versions = versions;
        this.plans = plans;
        this.clock = clock;
    }

    /**
     * A recipe at one version.
     *
     * @param recipe names the recipe
     * @param version number of the version
     * @param plan what it says
     */
    public record Recipe(UUID recipe, int version, BatchPlan plan) {}

    /**
     * What is kept of a recipe.
     *
     * @param name what it is called
     * @param newest its newest version; empty if that cannot be understood
     */
    public record Kept(UUID recipe, String name, Optional<Recipe> newest) {}

    /**
     * By name.
     *
     * @param putAway those that were put away, or those that are in use
     */
    @Transactional(readOnly = true)
    public List<Kept> all(boolean putAway) {
        return recipes.findByRetiredOrderByName(putAway).stream()
                .map(r -> new Kept(
                        r.id,
                        r.name,
                        versions.findFirstByRecipeIdOrderByNumberDesc(r.id).flatMap(this::readable)))
                .toList();
    }

    /** Those in use that can be understood, by name. */
    @Transactional(readOnly = true)
    public List<Recipe> inUse() {
        return all(false).stream().flatMap(k -> k.newest().stream()).toList();
    }

    /** @throws NotFoundException if there is none */
    @Transactional(readOnly = true)
    public Recipe latest(UUID recipe) {
        return versions.findFirstByRecipeIdOrderByNumberDesc(recipe)
                .map(this::recipe)
                .orElseThrow(() -> new NotFoundException("recipe " + recipe));
    }

    @Transactional(readOnly = true)
    public Recipe at(UUID recipe, int version) {
        return versions.findByRecipeIdAndNumber(recipe, version)
                .map(this::recipe)
                .orElseThrow(() -> new NotFoundException("recipe " + recipe + " version " + version));
    }

    /** Numbers of all versions, the newest first. */
    @Transactional(readOnly = true)
    public List<Integer> versions(UUID recipe) {
        return versions.findByRecipeIdOrderByNumberDesc(recipe).stream()
                .map(v -> v.number)
                .toList();
    }

    @Transactional
    public Recipe create(BatchPlan plan, String by) {
        RecipeRow row = new RecipeRow();
        row.name = plan.name();
        row.createdAt = clock.instant();
        recipes.save(row);
        return add(row.id, 1, plan, by);
    }

    /**
     * Adds a version if the plan differs from the newest; one that says the same adds none, and gives the recipe its
     * name.
     *
     * @param base the version that the maker began from; 0 where that is not known
     * @throws ProblemsException if a later one was kept since
     */
    @Transactional
    public Recipe save(UUID recipe, BatchPlan plan, int base, String by) {
        VersionRow newest = versions.findFirstByRecipeIdOrderByNumberDesc(recipe)
                .orElseThrow(() -> new NotFoundException("recipe " + recipe));
        if (says(newest, plan)) {
            recipes.findById(recipe).orElseThrow().name = plan.name();
            return recipe(newest);
        }
        if (base > 0 && base < newest.number) {
            throw ProblemsException.of("name", ProblemKey.NEWER_VERSION, newest.createdBy, newest.number, base);
        }
        recipes.findById(recipe).orElseThrow().name = plan.name();
        return add(recipe, newest.number + 1, plan, by);
    }

    /** Whether a version says the same, whatever it is called, also where it was written by an earlier program. */
    private boolean says(VersionRow row, BatchPlan plan) {
        return readable(row)
                .map(r -> plans.write(r.plan().named(plan.name())).equals(plans.write(plan)))
                .orElse(false);
    }

    /** @throws NotFoundException if there is none */
    @Transactional
    public void putAway(UUID recipe, boolean away) {
        recipes.findById(recipe).orElseThrow(() -> new NotFoundException("recipe " + recipe)).retired = away;
    }

    @Transactional(readOnly = true)
    public boolean isPutAway(UUID recipe) {
        return recipes.findById(recipe).map(r -> r.retired).orElse(false);
    }

    private Recipe add(UUID recipe, int number, BatchPlan plan, String by) {
        VersionRow row = new VersionRow();
        row.recipeId = recipe;
        row.number = number;
        row.plan = plans.write(plan);
        row.createdAt = clock.instant();
        row.createdBy = by;
        versions.save(row);
        return new Recipe(recipe, number, plan);
    }

    private Optional<Recipe> readable(VersionRow row) {
        try {
            return Optional.of(recipe(row));
        } catch (UnreadableException e) {
            return Optional.empty();
        }
    }

    /** @throws UnreadableException if what stands there is no plan */
    private Recipe recipe(VersionRow row) {
        try {
            BatchPlan plan = plans.read(row.plan);
            String name = recipes.findById(row.recipeId)
                    .map(r -> r.name)
                    .filter(n -> !n.isBlank())
                    .orElse(plan.name());
            return new Recipe(row.recipeId, row.number, plan.named(name));
        } catch (PlanCodec.UnknownField e) {
            throw unreadable(row, "Its plan " + e.getMessage() + ".");
        } catch (RuntimeException e) {
            // Whatever is wrong with the text.
            throw unreadable(row, "Its plan cannot be understood.");
        }
    }

    private static UnreadableException unreadable(VersionRow row, String why) {
        return new UnreadableException(
                "Version " + row.number + " of this recipe cannot be understood", why, List.of(row.plan));
    }
}
