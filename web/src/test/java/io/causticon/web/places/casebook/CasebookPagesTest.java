package io.causticon.web.places.casebook;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.said.notation.Units;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.shared.Formats;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchService;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;

@Application
class CasebookPagesTest {

    private static List<String> causes(RunningApplication application, Units units) {
        Batch tar = application.bean(BatchService.class).all().stream()
                .filter(b -> b.name().equals("Sail Loft Tar"))
                .findFirst()
                .orElseThrow();
        return application.bean(CasebookPages.class).page(tar, new Formats(units, ZoneOffset.UTC)).causes().stream()
                .map(c -> c.words() + ": " + c.arithmetic())
                .toList();
    }

    @Test
    void tellTheArithmeticOfASlipInTheMakersUnits(RunningApplication application) {
        assertThat(causes(application, Units.METRIC).get(0))
                .contains("second jug")
                .containsPattern("\\d+\\.\\d g of the logged \\d+\\.\\d g was the vessel; superfat planned \\d+ %, then"
                        + " \u2212\\d+(\\.\\d)? %");
        assertThat(causes(application, Units.US).get(0))
                .contains("second jug")
                .containsPattern(
                        "\\d+\\.\\d\\d oz of the logged \\d+\\.\\d\\d oz was the vessel; superfat planned \\d+ %, then"
                                + " \u2212\\d+(\\.\\d)? %");
        assertThat(causes(application, Units.US)).noneMatch(c -> c.matches(".*\\d g\\b.*"));
    }

    /** The words and reasons of every line of every condition of every batch. */
    private static List<String> ledgers(RunningApplication application, Units units) {
        CasebookPages pages = application.bean(CasebookPages.class);
        Formats formats = new Formats(units, ZoneOffset.UTC);
        return application.bean(BatchService.class).all().stream()
                .map(b -> pages.page(b, formats))
                .flatMap(p -> p.ranked().stream())
                .flatMap(r -> r.rows().stream())
                .map(r -> r.words() + ": " + r.reason())
                .toList();
    }

    @Test
    void weighTheLogInTheMakersDegrees(RunningApplication application) {
        assertThat(ledgers(application, Units.METRIC))
                .anyMatch(l -> l.matches(".*\\d \u00b0C.*"))
                .noneMatch(l -> l.contains("\u00b0F"));
        assertThat(ledgers(application, Units.US))
                .anyMatch(l -> l.matches(".*\\d \u00b0F.*"))
                .noneMatch(l -> l.contains("\u00b0C"));
    }
}
