package io.causticon.web.store.trial;

import io.causticon.core.model.log.Purpose;
import io.causticon.core.model.plan.Aspect;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.web.shared.FormKey;
import io.causticon.web.shared.Guard;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.PlanCodec;
import java.time.Clock;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Questions and what they compare. Grades stand in the logs of the batches. */
@Service
public class Trials {

    private static final Limit MANY = Limit.of(100);

    private final TrialRepository trials;
    private final ArmRepository arms;
    private final PlanCodec plans;
    private final BatchService batches;
    private final TransactionTemplate transaction;
    private final Clock clock;

    Trials(
            TrialRepository trials,
            ArmRepository arms,
            PlanCodec plans,
            BatchService batches,
            PlatformTransactionManager transactions,
            Clock clock) {
        this.trials = trials;
        this.arms = arms;
        this.plans = plans;
        this.batches = batches;
        this.transaction = new TransactionTemplate(transactions);
        this.clock = clock;
    }

    /**
     * A trial.
     *
     * @param asked what is asked, and of what
     * @param arms the first is the one that the others are compared with
     */
    public record Trial(UUID id, Asked asked, List<Arm> arms) {

        public Trial {
            arms = List.copyOf(arms);
        }

        public Arm control() {
            return arms.get(0);
        }

        public String question() {
            return asked.question();
        }

        public String factor() {
            return asked.factor();
        }
    }

    /**
     * What is asked.
     *
     * @param factor what differs on purpose, in the maker's words
     * @param kind the same as the core knows it
     * @param coded whether judges see letters instead of names
     * @param recipe that the arms were made from; null where they are batches of any
     */
    public record Asked(
            String question,
            String factor,
            Aspect.Factor kind,
            boolean coded,
            @Nullable UUID recipe) {}

    /**
     * One of the things compared.
     *
     * @param batch empty before it is begun
     * @param portion of its batch; empty for all of it
     * @param name unlike that of any other
     * @param plan what it is to be made by; empty where it was a batch from the beginning, or that cannot be read
     * @param pot arms of one pot are begun together
     */
    public record Arm(Optional<BatchId> batch, String portion, String name, Optional<BatchPlan> plan, int pot) {

        public static Arm made(BatchId batch, String portion, String name) {
            return new Arm(Optional.of(batch), portion, name, Optional.empty(), 0);
        }

        public static Arm toMake(BatchPlan plan, String portion, String name, int pot) {
            return new Arm(Optional.empty(), portion, name, Optional.of(plan), pot);
        }
    }

    @Transactional(readOnly = true)
    public List<Trial> all() {
        List<TrialRow> rows = trials.findByPutAwayFalseOrderByMadeAtDesc(MANY);
        Map<UUID, List<ArmRow>> ofEach =
                arms.findByTrialIdInOrderByPlace(rows.stream().map(r -> r.id).toList()).stream()
                        .collect(Collectors.groupingBy(a -> a.trialId));
        return rows.stream()
                .filter(r -> ofEach.containsKey(r.id))
                .map(r -> read(r, ofEach.get(r.id)))
                .toList();
    }

    /** @throws NotFoundException if there is none */
    @Transactional(readOnly = true)
    public Trial get(UUID id) {
        return trials.findById(id)
                .map(r -> read(r, arms.findByTrialIdOrderByPlace(r.id)))
                .filter(t -> !t.arms().isEmpty())
                .orElseThrow(() -> new NotFoundException("trial " + id));
    }

    private Trial read(TrialRow row, List<ArmRow> compared) {
        Aspect.Factor kind = Guard.of("factor of trial " + row.id, () -> Aspect.Factor.valueOf(row.factorKind))
                .orElse(Aspect.Factor.OTHER);
        return new Trial(
                row.id,
                new Asked(row.question, row.factor, kind, row.coded, row.recipeId),
                compared.stream()
                        .map(a -> new Arm(
                                Optional.ofNullable(a.batchId).map(BatchId::new),
                                a.portion,
                                a.name,
                                Optional.ofNullable(a.plan)
                                        .flatMap(p -> Guard.of("plan of arm " + a.id, () -> plans.read(p))),
                                a.pot))
                        .toList());
    }

    /**
     * Asks it; the same form sent twice asks once.
     *
     * @param sent the form's own key
     */
    public UUID keep(Asked asked, List<Arm> compared, Maker maker, String sent) {
        String key = FormKey.of(sent);
        TrialRow row = new TrialRow();
        row.question = asked.question();
        row.factor = asked.factor();
        row.factorKind = asked.kind().name();
        row.recipeId = asked.recipe();
        row.coded = asked.coded();
        row.madeBy = maker.displayName();
        row.madeAt = clock.instant();
        row.formKey = key;
        try {
            return transaction.execute(t -> trials.findByFormKey(key)
                    .map(r -> r.id)
                    .orElseGet(() -> {
                        trials.save(row);
                        for (int i = 0; i < compared.size(); i++) {
                            arms.save(arm(row.id, i, compared.get(i)));
                        }
                        return row.id;
                    }));
        } catch (DataIntegrityViolationException e) {
            // The same form came in the same moment.
            return trials.findByFormKey(key).map(r -> r.id).orElseThrow(() -> e);
        }
    }

    private ArmRow arm(UUID trial, int place, Arm arm) {
        ArmRow row = new ArmRow();
        row.trialId = trial;
        row.place = place;
        row.batchId = arm.batch().map(BatchId::value).orElse(null);
        row.portion = arm.portion();
        row.name = arm.name();
        row.plan = arm.plan().map(plans::write).orElse(null);
        row.pot = arm.pot();
        return row;
    }

    /**
     * Begins what one pot is planned for; asked twice, it is begun once.
     *
     * @throws NotFoundException if nothing of the trial is to be made in that pot
     */
    public BatchId begin(Trial trial, int pot, Maker maker) {
        List<Arm> together = trial.arms().stream()
                .filter(a -> a.pot() == pot && a.plan().isPresent())
                .toList();
        if (together.isEmpty()) {
            throw new NotFoundException("pot " + pot + " of trial " + trial.id());
        }
        Optional<BatchId> begun = together.stream()
                .flatMap(a -> a.batch().stream())
                .min(Comparator.comparing(b -> b.value().toString()));
        if (begun.isPresent()) {
            return begun.get();
        }
        BatchPlan plan = together.get(0).plan().orElseThrow();
        BatchId batch = batches.beginFor(
                Purpose.TRIAL,
                plan,
                trial.asked().recipe(),
                1,
                clock.instant(),
                maker.displayName(),
                maker.zone(),
                "trial " + trial.id() + " " + pot);
        transaction.executeWithoutResult(t -> arms.findByTrialIdOrderByPlace(trial.id()).stream()
                .filter(a -> a.pot == pot && a.plan != null)
                .forEach(a -> a.batchId = batch.value()));
        return batch;
    }

    /** @throws NotFoundException if there is none */
    @Transactional
    public void putAway(UUID id) {
        trials.findById(id).orElseThrow(() -> new NotFoundException("trial " + id)).putAway = true;
    }
}
