package io.causticon.web.plan;

import io.causticon.core.formula.BatchPlan;
import io.causticon.web.batch.PlanCodec;
import io.causticon.web.shared.NotFoundException;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Recipes in versions: saving a change adds a version, and old batches keep theirs. */
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

    @Transactional(readOnly = true)
    List<Recipe> all() {
        return recipes.findAllByOrderByName().stream().map(r -> latest(r.id)).toList();
    }

    /** @throws NotFoundException if there is none */
    @Transactional(readOnly = true)
    public Recipe latest(UUID recipe) {
        return versions.findFirstByRecipeIdOrderByNumberDesc(recipe)
                .map(this::recipe)
                .orElseThrow(() -> new NotFoundException("recipe " + recipe));
    }

    @Transactional(readOnly = true)
    Recipe at(UUID recipe, int version) {
        return versions.findByRecipeIdAndNumber(recipe, version)
                .map(this::recipe)
                .orElseThrow(() -> new NotFoundException("recipe " + recipe + " version " + version));
    }

    /** Numbers of all versions, the newest first. */
    @Transactional(readOnly = true)
    List<Integer> versions(UUID recipe) {
        return versions.findByRecipeIdOrderByNumberDesc(recipe).stream().map(v -> v.number).toList();
    }

    @Transactional
    public Recipe create(BatchPlan plan, String by) {
        RecipeRow row = new RecipeRow();
        row.name = plan.name();
        row.createdAt = clock.instant();
        recipes.save(row);
        return add(row.id, 1, plan, by);
    }

    /** Adds a version if the plan differs from the newest; a plan that says the same adds none. */
    @Transactional
    public Recipe save(UUID recipe, BatchPlan plan, String by) {
        VersionRow newest = versions.findFirstByRecipeIdOrderByNumberDesc(recipe)
                .orElseThrow(() -> new NotFoundException("recipe " + recipe));
        if (newest.plan.equals(plans.write(plan))) {
            return recipe(newest);
        }
        recipes.findById(recipe).orElseThrow().name = plan.name();
        return add(recipe, newest.number + 1, plan, by);
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

    private Recipe recipe(VersionRow row) {
        return new Recipe(row.recipeId, row.number, plans.read(row.plan));
    }
}
