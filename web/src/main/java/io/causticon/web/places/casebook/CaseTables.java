package io.causticon.web.places.casebook;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Life;
import io.causticon.core.science.diagnosis.ConditionReport;
import io.causticon.core.workshop.assessment.Assessment;
import io.causticon.web.shared.Guard;
import io.causticon.web.shared.print.TableFile;
import io.causticon.web.store.batch.Assessments;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/**
 * What the casebook says of every batch beside what its maker settled, as a table: who wants to know how often it is
 * right can count.
 */
@Controller
class CaseTables {

    static final List<String> HEADINGS = List.of(
            "code",
            "batch",
            "name",
            "begun_at",
            "life",
            "held",
            "rank",
            "condition",
            "condition_name",
            "hazard",
            "probability",
            "evidence_decibans",
            "settled");

    /** What is less likely than that is left out, unless it was settled. */
    private static final double LEAST = 0.01;

    private static final double PER_MILLE = 1000.0;

    private final Assessments assessments;
    private final BatchService batches;

    CaseTables(Assessments assessments, BatchService batches) {
        this.assessments = assessments;
        this.batches = batches;
    }

    @GetMapping("/casebook/cases.{kind:csv|xlsx}")
    void cases(@PathVariable String kind, HttpServletResponse response) throws IOException {
        TableFile.send(response, kind, "cases", HEADINGS, rows -> {
            for (BatchId id : batches.ids()) {
                Guard.of("Batch " + id, () -> batches.glance(id))
                        .filter(b -> b.life() != Life.BENCH && b.life() != Life.ABANDONED)
                        .ifPresent(b -> write(b, rows));
            }
        });
    }

    private void write(Batch batch, TableFile.Rows rows) {
        Set<String> settled = batch.log()
                .of(Entry.Concluded.class)
                .map(BatchLog.Timed::entry)
                .map(c -> Objects.requireNonNullElse(
                        c.condition().id(), c.condition().name()))
                .collect(Collectors.toSet());
        Assessment assessment = assessments.of(batch);
        List<ConditionReport> reports =
                assessment.examined().map(e -> e.diagnosis().reports()).orElse(List.of()).stream()
                        .sorted(Comparator.comparingDouble((ConditionReport r) -> -r.probability()))
                        .toList();
        for (int rank = 1; rank <= reports.size(); rank++) {
            ConditionReport r = reports.get(rank - 1);
            boolean isSettled = settled.contains(r.condition().id());
            if (isSettled || r.probability() >= LEAST) {
                rows.row(
                        batch.code(),
                        batch.id(),
                        batch.name(),
                        batch.log().begun(),
                        assessment.life().name().toLowerCase(Locale.ROOT),
                        assessment.isHeld(),
                        rank,
                        r.condition().id(),
                        r.condition().name(),
                        r.condition().hazard(),
                        Math.round(r.probability() * PER_MILLE) / PER_MILLE,
                        Math.round(r.ledger().sum() * 10) / 10.0,
                        isSettled);
            }
        }
    }
}
