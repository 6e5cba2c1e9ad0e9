package io.causticon.web.trial;

import io.causticon.web.account.Maker;
import io.causticon.web.batch.BatchId;
import io.causticon.web.shared.NotFoundException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Questions and what they compare. Grades stand in the logs of the batches. */
@Service
class Trials {

    private static final Limit MANY = Limit.of(100);

    private final TrialRepository trials;
    private final ArmRepository arms;
    private final TransactionTemplate transaction;
    private final Clock clock;

    Trials(TrialRepository trials, ArmRepository arms, PlatformTransactionManager transactions, Clock clock) {
        this.trials = trials;
        this.arms = arms;
        this.transaction = new TransactionTemplate(transactions);
        this.clock = clock;
    }

    /**
     * A trial.
     *
     * @param factor what differs on purpose, in a word
     * @param coded whether judges see letters instead of names
     * @param arms the first is the one that the others are compared with
     */
    record Trial(UUID id, String question, String factor, boolean coded, List<Arm> arms) {

        Trial {
            arms = List.copyOf(arms);
        }

        Arm control() {
            return arms.get(0);
        }
    }

    /**
     * One of the things compared.
     *
     * @param portion of its batch; empty for all of it
     * @param name unlike that of any other
     */
    record Arm(BatchId batch, String portion, String name) {}

    @Transactional(readOnly = true)
    List<Trial> all() {
        return trials.findByPutAwayFalseOrderByMadeAtDesc(MANY).stream().map(this::read).toList();
    }

    /** @throws NotFoundException if there is none */
    @Transactional(readOnly = true)
    Trial get(UUID id) {
        return trials.findById(id).map(this::read).orElseThrow(() -> new NotFoundException("trial " + id));
    }

    private Trial read(TrialRow row) {
        return new Trial(
                row.id, row.question, row.factor, row.coded,
                arms.findByTrialIdOrderByPlace(row.id).stream().map(a -> new Arm(new BatchId(a.batchId), a.portion, a.name)).toList());
    }

    /**
     * Keeps a trial.
     *
     * @param sent key of the form: the same one sent twice keeps it once
     */
    UUID keep(String question, String factor, boolean coded, List<Arm> compared, Maker maker, String sent) {
        String key = UUID.nameUUIDFromBytes((sent.isBlank() ? UUID.randomUUID().toString() : sent).getBytes(StandardCharsets.UTF_8)).toString();
        TrialRow row = new TrialRow();
        row.question = question;
        row.factor = factor;
        row.coded = coded;
        row.madeBy = maker.displayName();
        row.madeAt = clock.instant();
        row.formKey = key;
        try {
            return transaction.execute(t -> trials.findByFormKey(key).map(r -> r.id).orElseGet(() -> {
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

    private static ArmRow arm(UUID trial, int place, Arm arm) {
        ArmRow row = new ArmRow();
        row.trialId = trial;
        row.place = place;
        row.batchId = arm.batch().value();
        row.portion = arm.portion();
        row.name = arm.name();
        return row;
    }

    /** @throws NotFoundException if there is none */
    @Transactional
    void putAway(UUID id) {
        trials.findById(id).orElseThrow(() -> new NotFoundException("trial " + id)).putAway = true;
    }
}
