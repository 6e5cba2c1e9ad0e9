package io.causticon.web.casebook;

import io.causticon.core.diagnosis.ConditionReport;
import io.causticon.core.diagnosis.Diagnosis;
import io.causticon.core.diagnosis.Diagnostician;
import io.causticon.core.diagnosis.knowledge.StandardKnowledge;
import io.causticon.core.observation.Entry;
import io.causticon.core.observation.Life;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Share;
import io.causticon.web.batch.Batch;
import io.causticon.web.batch.BatchId;
import io.causticon.web.batch.BatchLogged;
import io.causticon.web.batch.BatchService;
import io.causticon.web.shared.Formats;
import io.causticon.web.shelf.ShelfService;
import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;

/** Examines batches, holds those that could hurt somebody, and lets a maker release them when the hazard is ruled out. */
@Service
public class CasebookService {

    /** Who holds a batch when no person did. */
    public static final String ITSELF = "Causticon";

    private final Diagnostician diagnostician = new Diagnostician(StandardKnowledge.all());
    private final BatchService batches;
    private final ShelfService shelf;
    private final Clock clock;

    CasebookService(BatchService batches, ShelfService shelf, Clock clock) {
        this.batches = batches;
        this.shelf = shelf;
        this.clock = clock;
    }

    /** What the batch has, by everything known now. */
    public Diagnosis examine(Batch batch) {
        return diagnostician.examine(batch.facts(clock.instant()), shelf.vesselMasses());
    }

    /** The likeliest hazard of a report. */
    public static ConditionReport worst(Diagnosis diagnosis) {
        return diagnosis.reports().stream()
                .filter(r -> r.condition().hazard())
                .max(Comparator.comparingDouble(ConditionReport::probability))
                .orElseThrow();
    }

    /** Holds a poured batch as soon as its log speaks for a hazard; on the bench the maker is warned instead. */
    @EventListener
    void holdIfHazardous(BatchLogged event) {
        Batch batch = batches.get(event.batch());
        if (batch.isHeld() || batch.life() == Life.BENCH) {
            return;
        }
        Diagnosis diagnosis = examine(batch);
        if (diagnosis.verdict() == Diagnosis.Verdict.HOLD) {
            ConditionReport worst = worst(diagnosis);
            String reason = worst.condition().name() + " stood at " + Formats.probability(worst.probability());
            Instant now = clock.instant();
            batches.log(batch.id(), List.of(new Entry.Held(reason)), now, ITSELF, "hold-" + batch.id() + "-" + now);
        }
    }

    void hold(BatchId id, String reason, String by, String key) {
        requireWords("reason", reason);
        batches.log(id, List.of(new Entry.Held(reason.trim())), clock.instant(), by, key);
    }

    /** @throws ProblemsException while a hazard is not ruled out */
    void release(BatchId id, String reason, String by, String key) {
        requireWords("reason", reason);
        Diagnosis diagnosis = examine(batches.get(id));
        if (diagnosis.verdict() != Diagnosis.Verdict.CALM) {
            ConditionReport worst = worst(diagnosis);
            throw ProblemsException.of(
                    "reason",
                    ProblemKey.HAZARD_NOT_RULED_OUT,
                    worst.condition().name(),
                    Share.fraction(worst.probability()));
        }
        batches.log(id, List.of(new Entry.Released(reason.trim())), clock.instant(), by, key);
    }

    void conclude(BatchId id, String condition, String words, String by, String key) {
        String name = examine(batches.get(id)).reports().stream()
                .filter(r -> r.condition().id().equals(condition))
                .findFirst()
                .orElseThrow(() -> ProblemsException.of("condition", ProblemKey.NOT_A_CHOICE, condition))
                .condition()
                .name();
        batches.log(id, List.of(new Entry.Concluded(name, words.trim())), clock.instant(), by, key);
    }

    private static void requireWords(String field, String text) {
        if (text.isBlank()) {
            throw ProblemsException.of(field, ProblemKey.MISSING);
        }
    }
}
