package io.causticon.web.places.casebook;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Named;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.science.diagnosis.ConditionReport;
import io.causticon.core.science.diagnosis.Diagnosis;
import io.causticon.core.science.diagnosis.Diagnostician;
import io.causticon.core.science.diagnosis.ReleaseGate;
import io.causticon.core.science.diagnosis.network.Condition;
import io.causticon.core.workshop.assessment.Assessment;
import io.causticon.web.store.batch.Answers;
import io.causticon.web.store.batch.Assessments;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.Judge;
import io.causticon.web.store.casebook.WorkshopExperience;
import io.causticon.web.store.shelf.ShelfService;
import java.time.Clock;
import java.util.Comparator;
import java.util.List;
import org.springframework.stereotype.Service;

/**
 * Examines batches, holds those that could hurt somebody, and lets a maker release them when the hazard is ruled out.
 */
@Service
public class CasebookService implements Judge {

    private final WorkshopExperience experience;
    private final BatchService batches;
    private final Assessments assessments;
    private final ShelfService shelf;
    private final Clock clock;

    CasebookService(
            WorkshopExperience experience,
            BatchService batches,
            Assessments assessments,
            ShelfService shelf,
            Clock clock) {
        this.experience = experience;
        this.batches = batches;
        this.assessments = assessments;
        this.shelf = shelf;
        this.clock = clock;
    }

    /** What the batch has, by everything known now. */
    public Diagnosis examine(Batch batch) {
        Assessment.Known known = now(batch.id());
        return known.diagnostician().examine(batch.facts(clock.instant()), known.vessels());
    }

    /** The same with what the verdict hangs on. */
    Diagnostician.WithHinges examineWithHinges(Batch batch) {
        Assessment.Known known = now(batch.id());
        return known.diagnostician().examineWithHinges(batch.facts(clock.instant()), known.vessels());
    }

    /** The likeliest hazard of a report. */
    public static ConditionReport worst(Diagnosis diagnosis) {
        return diagnosis.reports().stream()
                .filter(r -> r.condition().hazard())
                .max(Comparator.comparingDouble(ConditionReport::probability))
                .orElseThrow();
    }

    @Override
    public Assessment.Known asLastRead(BatchId batch) {
        return new Assessment.Known(experience.of(batch, experience.asLastRead()), shelf.knownVessels());
    }

    @Override
    public Assessment.Known now(BatchId batch) {
        return new Assessment.Known(experience.of(batch, experience.now()), shelf.knownVessels());
    }

    @Override
    public String experience() {
        return experience.name();
    }

    void hold(BatchId id, String reason, String by, String key) {
        requireWords("reason", reason);
        batches.log(id, List.of(new Entry.Held(reason.trim())), clock.instant(), by, key);
    }

    /** @throws ProblemsException with everything that is missing, looked at in the moment of the release itself */
    void release(BatchId id, String reason, String by, String key) {
        requireWords("reason", reason);
        batches.logIf(
                id,
                this::requireOpenGate,
                List.of(new Entry.Released(reason.trim())),
                clock.instant(),
                by,
                key,
                Answers.NONE);
    }

    private void requireOpenGate(Batch batch) {
        ReleaseGate gate = assessments
                .of(batch)
                .gate()
                .orElseThrow(() -> ProblemsException.of("reason", ProblemKey.NOT_WORKED_OUT));
        List<ReleaseGate.Requirement> missing = gate.missing();
        if (!missing.isEmpty()) {
            throw new ProblemsException(missing.stream()
                    .map(m -> new Problem(ProblemKey.NOT_RELEASED, "reason", List.of(m.words())))
                    .toList());
        }
    }

    void conclude(BatchId id, String condition, String words, String by, String key) {
        Condition found = examine(batches.get(id)).reports().stream()
                .filter(r -> r.condition().id().equals(condition))
                .findFirst()
                .orElseThrow(() -> ProblemsException.of("condition", ProblemKey.NOT_A_CHOICE, condition))
                .condition();
        batches.log(
                id,
                List.of(new Entry.Concluded(new Named(found.id(), found.name()), words.trim())),
                clock.instant(),
                by,
                key);
    }

    private static void requireWords(String field, String text) {
        if (text.isBlank()) {
            throw ProblemsException.of(field, ProblemKey.MISSING);
        }
    }
}
