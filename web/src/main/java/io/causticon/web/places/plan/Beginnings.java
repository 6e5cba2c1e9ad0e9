package io.causticon.web.places.plan;

import com.github.benmanes.caffeine.cache.Cache;
import io.causticon.core.model.log.Purpose;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.web.shared.Caches;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.recipe.RecipeService;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * From a form to a recipe that is kept, and from that to a batch on the bench. The same form sent twice does either
 * once.
 */
@Component
class Beginnings {

    private static final int FORMS = 1000;

    private final Cache<String, RecipeService.Recipe> kept =
            Caches.atMost(FORMS).build();
    private final RecipeService recipes;
    private final BatchService batches;

    Beginnings(RecipeService recipes, BatchService batches) {
        this.recipes = recipes;
        this.batches = batches;
    }

    /**
     * Keeps a recipe.
     *
     * @param recipe whose next version it is; null for a new one
     * @param base the version that the maker began from
     * @param key the form's own; empty where it has none
     */
    RecipeService.Recipe keep(@Nullable UUID recipe, BatchPlan plan, int base, Maker maker, String key) {
        if (recipe != null) {
            return recipes.save(recipe, plan, base, maker.displayName());
        }
        RecipeService.Recipe before = key.isEmpty() ? null : kept.getIfPresent(key);
        if (before != null && before.plan().equals(plan)) {
            return before;
        }
        RecipeService.Recipe made = recipes.create(plan, maker.displayName());
        if (!key.isEmpty()) {
            kept.put(key, made);
        }
        return made;
    }

    /** Begins a batch of a recipe that is kept. */
    BatchId begin(RecipeService.Recipe recipe, Purpose purpose, Instant begun, Maker maker, String key) {
        return batches.beginFor(
                purpose,
                recipe.plan(),
                recipe.recipe(),
                recipe.version(),
                begun,
                maker.displayName(),
                maker.zone(),
                key);
    }
}
