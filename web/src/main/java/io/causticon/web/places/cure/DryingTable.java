package io.causticon.web.places.cure;

import io.causticon.core.model.log.Entry;
import io.causticon.core.quantity.Interval;
import io.causticon.core.science.cure.Drying;
import io.causticon.core.science.cure.Readiness;
import io.causticon.web.shared.Guard;
import io.causticon.web.shared.print.TableFile;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Every bar that was weighed in cure beside what is expected of it, as a table. */
@Controller
class DryingTable {

    static final List<String> HEADINGS = List.of(
            "code",
            "batch",
            "name",
            "bar",
            "weighed_at",
            "days_since_cut",
            "grams",
            "expected_grams",
            "expected_from_grams",
            "expected_to_grams",
            "expected_water_share");

    private static final double SECONDS_A_DAY = 86_400;

    private final BatchService batches;

    DryingTable(BatchService batches) {
        this.batches = batches;
    }

    @GetMapping("/cure/drying.{kind:csv|xlsx}")
    void drying(@PathVariable String kind, HttpServletResponse response) throws IOException {
        TableFile.send(response, kind, "drying", HEADINGS, rows -> {
            for (BatchId id : batches.ids()) {
                Guard.of("Batch " + id, () -> batches.glance(id))
                        .filter(b -> b.log().first(Entry.BarWeighed.class).isPresent())
                        .ifPresent(b -> write(b, rows));
            }
        });
    }

    private static void write(Batch batch, TableFile.Rows rows) {
        Guard.of(batch.code(), () -> Readiness.of(batch.plan(), batch.log())).ifPresent(readiness -> {
            Drying drying = readiness.drying();
            for (Drying.Weighing w : drying.shown()) {
                double fresh = drying.freshGrams(w.bar()).orElse(w.grams() / drying.massShareAt(w.days()));
                Interval band = drying.massShareBandAt(w.days());
                rows.row(
                        batch.code(),
                        batch.id(),
                        batch.name(),
                        w.bar(),
                        readiness.cut().plus(Duration.ofSeconds(Math.round(w.days() * SECONDS_A_DAY))),
                        rounded(w.days(), 3),
                        rounded(w.grams(), 2),
                        rounded(fresh * drying.massShareAt(w.days()), 2),
                        rounded(fresh * band.low(), 2),
                        rounded(fresh * band.high(), 2),
                        rounded(drying.waterShareAt(w.days()), 4));
            }
        });
    }

    private static double rounded(double value, int digits) {
        double scale = Math.pow(10, digits);
        return Math.round(value * scale) / scale;
    }
}
