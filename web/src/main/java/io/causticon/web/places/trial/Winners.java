package io.causticon.web.places.trial;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.recipe.RecipeService;
import io.causticon.web.store.trial.Trials;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Component;

/** Makes a version of a recipe of the arm that is to be made from now on. */
@Component
class Winners {

    private final Standings standings;
    private final BatchService batches;
    private final RecipeService recipes;
    private final Clock clock;

    Winners(Standings standings, BatchService batches, RecipeService recipes, Clock clock) {
        this.standings = standings;
        this.batches = batches;
        this.recipes = recipes;
        this.clock = clock;
    }

    /**
     * The next version of the recipe that the arms were made from, of its size and in its mould; of the recipe of its
     * batch where they were not; a new recipe where there is none.
     *
     * @param arm index of the arm
     * @return the recipe
     * @throws NotFoundException for no such arm
     * @throws ProblemsException where its plan cannot be read
     */
    UUID intoRecipe(Trials.Trial trial, int arm, Maker maker) {
        List<ArmStanding> standing = standings.of(trial);
        if (arm < 0 || arm >= standing.size()) {
            throw new NotFoundException("arm " + arm + " of trial " + trial.id());
        }
        ArmStanding won = standing.get(arm);
        BatchPlan plan = won.plan()
                .filter(p -> !p.isRework())
                .orElseThrow(() -> ProblemsException.of(
                        "winner", ProblemKey.NO_PLAN_OF_ARM, won.arm().name()));
        Optional<RecipeService.Recipe> recipe = Optional.ofNullable(
                        trial.asked().recipe())
                .or(() -> won.batch().map(Batch::id).flatMap(batches::recipe))
                .map(recipes::latest);
        String why = "Chosen by the trial \"" + trial.question() + "\" ("
                + won.arm().name() + ") on " + maker.formats().date(clock.instant()) + ".";
        if (recipe.isEmpty()) {
            return recipes.create(noting(plan, plan.note(), why), maker.displayName())
                    .recipe();
        }
        BatchPlan before = recipe.get().plan();
        BatchPlan next = before.with(plan.formula().scaledTo(before.formula().fatMass()))
                .with(plan.process())
                .with(plan.gel())
                .with(PlanFields.MIX_AT, plan.mixAt());
        boolean isPart = !won.arm().portion().isEmpty()
                && before.pouring().portioning().portions().stream()
                        .anyMatch(p -> p.name().equals(won.arm().portion()));
        // A recipe of the very cups becomes what one of them was; of another recipe the division is its own.
        next = isPart ? next.with(plan.pouring()) : next;
        return save(recipe.get().recipe(), noting(next, before.note(), why), maker);
    }

    /**
     * Of two that come in one moment the second is put on top of the first; where they say the same, that is one
     * version.
     */
    private UUID save(UUID recipe, BatchPlan plan, Maker maker) {
        try {
            return recipes.save(recipe, plan, 0, maker.displayName()).recipe();
        } catch (DataIntegrityViolationException e) {
            return recipes.save(recipe, plan, 0, maker.displayName()).recipe();
        }
    }

    /** The same arm taken twice says so once. */
    private static BatchPlan noting(BatchPlan plan, String note, String why) {
        String all = note.contains(why) ? note : note.isBlank() ? why : note + "\n" + why;
        return plan.noting(
                all.length() > BatchPlan.LONGEST_NOTE
                        ? why.substring(0, Math.min(why.length(), BatchPlan.LONGEST_NOTE))
                        : all);
    }
}
