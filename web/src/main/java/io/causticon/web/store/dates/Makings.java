package io.causticon.web.store.dates;

import io.causticon.core.workshop.dates.ReadyBy;
import io.causticon.web.shared.FormKey;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.recipe.RecipeService;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Batches that are to be made on a day, until they are begun or put away. */
@Service
public class Makings {

    private static final LocalDate FAR = LocalDate.of(9999, 12, 31);
    private static final Limit MANY = Limit.of(200);

    private final MakingRepository rows;
    private final TransactionTemplate transaction;
    private final Clock clock;

    Makings(MakingRepository rows, PlatformTransactionManager transactions, Clock clock) {
        this.rows = rows;
        this.transaction = new TransactionTemplate(transactions);
        this.clock = clock;
    }

    /**
     * One to be made.
     *
     * @param recipe that it is made from
     * @param on the day, in the workshop's zone
     * @param goal what for, in words
     */
    public record Making(UUID id, UUID recipe, String name, LocalDate on, int bars, String goal) {}

    /** Those that were not put away, up to a day, the first first. */
    @Transactional(readOnly = true)
    public List<Making> until(LocalDate day) {
        return rows.findByPutAwayFalseAndOnDayLessThanEqualOrderByOnDayAsc(day, MANY).stream()
                .map(r -> new Making(r.id, r.recipeId, r.name, r.onDay, r.bars, r.goal))
                .toList();
    }

    @Transactional(readOnly = true)
    public List<Making> all() {
        return until(FAR);
    }

    /**
     * Keeps what was proposed.
     *
     * @param sent key of the form: the same one sent twice keeps it once
     */
    public void keep(RecipeService.Recipe recipe, List<ReadyBy.Making> makings, String goal, Maker maker, String sent) {
        // A form without a key has nothing in common with any other.
        String key = FormKey.of(sent);
        try {
            transaction.executeWithoutResult(t -> {
                if (!rows.existsByFormKey(key + "#0")) {
                    for (int i = 0; i < makings.size(); i++) {
                        rows.save(row(recipe, makings.get(i), goal, maker, key + "#" + i));
                    }
                }
            });
        } catch (DataIntegrityViolationException e) {
            // The same form came in the same moment; its makings are kept.
            if (!rows.existsByFormKey(key + "#0")) {
                throw e;
            }
        }
    }

    private MakingRow row(RecipeService.Recipe recipe, ReadyBy.Making making, String goal, Maker maker, String key) {
        MakingRow row = new MakingRow();
        row.recipeId = recipe.recipe();
        row.name = recipe.plan().name();
        row.onDay = making.on();
        row.bars = making.bars();
        row.goal = goal;
        row.madeBy = maker.displayName();
        row.madeAt = clock.instant();
        row.formKey = key;
        return row;
    }

    /** @throws NotFoundException if there is none */
    @Transactional
    public void putAway(UUID id) {
        rows.findById(id).orElseThrow(() -> new NotFoundException("making " + id)).putAway = true;
    }
}
