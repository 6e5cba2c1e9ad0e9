package io.causticon.web.casebook;

import io.causticon.core.diagnosis.Condition;
import io.causticon.core.diagnosis.ConditionReport;
import io.causticon.core.diagnosis.Diagnosis;
import io.causticon.core.diagnosis.Diagnostician;
import io.causticon.core.diagnosis.ReleaseGate;
import io.causticon.core.observation.Entry;
import io.causticon.core.observation.Life;
import io.causticon.core.observation.Named;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.batch.Batch;
import io.causticon.web.batch.BatchId;
import io.causticon.web.batch.BatchService;
import io.causticon.web.batch.Judge;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.Guard;
import io.causticon.web.shelf.ShelfService;
import java.time.Clock;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Examines batches, holds those that could hurt somebody, and lets a maker release them when the hazard is ruled out. */
@Service
public class CasebookService implements Judge {

    private final WorkshopExperience experience;
    private final BatchService batches;
    private final ShelfService shelf;
    private final Clock clock;

    CasebookService(WorkshopExperience experience, BatchService batches, ShelfService shelf, Clock clock) {
        this.experience = experience;
        this.batches = batches;
        this.shelf = shelf;
        this.clock = clock;
    }

    /** What the batch has, by everything known now. */
    public Diagnosis examine(Batch batch) {
        return examine(batch, experience.of(batch.id(), experience.now()));
    }

    private Diagnosis examine(Batch batch, Diagnostician diagnostician) {
        return diagnostician.examine(batch.facts(clock.instant()), shelf.knownVessels());
    }

    /** The same with what the verdict hangs on. */
    Diagnostician.WithHinges examineWithHinges(Batch batch) {
        return experience.of(batch.id(), experience.now()).examineWithHinges(batch.facts(clock.instant()), shelf.knownVessels());
    }

    /** The likeliest hazard of a report. */
    public static ConditionReport worst(Diagnosis diagnosis) {
        return diagnosis.reports().stream()
                .filter(r -> r.condition().hazard())
                .max(Comparator.comparingDouble(ConditionReport::probability))
                .orElseThrow();
    }

    /** A poured batch is held as soon as its log speaks for a hazard; on the bench the maker is warned instead. */
    @Override
    public Judgement of(Batch batch) {
        if (batch.life() == Life.BENCH || batch.life() == Life.ABANDONED) {
            return Judgement.UNKNOWN;
        }
        // What cannot be worked out must not keep a line from being logged; it cannot be released either.
        return Guard.of(batch.code(), () -> examine(batch, experience.of(batch.id(), experience.asLastRead()))).map(CasebookService::judgement).orElse(Judgement.UNKNOWN);
    }

    private static Judgement judgement(Diagnosis diagnosis) {
        Likely worst = likely(worst(diagnosis));
        return new Judgement(
                diagnosis.verdict() == Diagnosis.Verdict.HOLD
                        ? Optional.of(new Entry.Held(
                                diagnosis.isOpen() ? worst.name() + " stood at " + Formats.probability(worst.probability()) : "a sign of a hazard stands"))
                        : Optional.empty(),
                diagnosis.leading().map(CasebookService::likely).orElse(Likely.NOTHING),
                worst,
                diagnosis.next().stream().findFirst().map(n -> n.finding().look()).orElse(""),
                Optional.of(diagnosis.superfatToRework()));
    }

    private static Likely likely(ConditionReport report) {
        return new Likely(report.condition().name(), report.probability());
    }

    void hold(BatchId id, String reason, String by, String key) {
        requireWords("reason", reason);
        batches.log(id, List.of(new Entry.Held(reason.trim())), clock.instant(), by, key);
    }

    /** @throws ProblemsException with everything that is missing, looked at in the moment of the release itself */
    void release(BatchId id, String reason, String by, String key) {
        requireWords("reason", reason);
        batches.logIf(id, this::requireOpenGate, List.of(new Entry.Released(reason.trim())), clock.instant(), by, key);
    }

    private void requireOpenGate(Batch batch) {
        Diagnosis diagnosis = Guard.of(batch.code(), () -> examine(batch))
                .orElseThrow(() -> ProblemsException.of("reason", ProblemKey.NOT_WORKED_OUT));
        List<ReleaseGate.Requirement> missing = gate(batch, diagnosis).missing();
        if (!missing.isEmpty()) {
            throw new ProblemsException(missing.stream()
                    .map(m -> new Problem(ProblemKey.NOT_RELEASED, "reason", List.of(m.words())))
                    .toList());
        }
    }

    /** What it must have to be released. */
    public ReleaseGate gate(Batch batch, Diagnosis diagnosis) {
        return ReleaseGate.of(batch.facts(clock.instant()), diagnosis);
    }

    void conclude(BatchId id, String condition, String words, String by, String key) {
        Condition found = examine(batches.get(id)).reports().stream()
                .filter(r -> r.condition().id().equals(condition))
                .findFirst()
                .orElseThrow(() -> ProblemsException.of("condition", ProblemKey.NOT_A_CHOICE, condition))
                .condition();
        batches.log(id, List.of(new Entry.Concluded(new Named(found.id(), found.name()), words.trim())), clock.instant(), by, key);
    }

    private static void requireWords(String field, String text) {
        if (text.isBlank()) {
            throw ProblemsException.of(field, ProblemKey.MISSING);
        }
    }
}
