package io.causticon.web.casebook;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.notation.Units;
import io.causticon.web.batch.Batch;
import io.causticon.web.batch.BatchService;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.shared.Formats;
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
                .containsPattern("\\d+\\.\\d g of the logged \\d+\\.\\d g was the vessel; superfat planned \\d+ %, then \u2212\\d+(\\.\\d)? %");
        assertThat(causes(application, Units.US).get(0))
                .contains("second jug")
                .containsPattern("\\d+\\.\\d\\d oz of the logged \\d+\\.\\d\\d oz was the vessel; superfat planned \\d+ %, then \u2212\\d+(\\.\\d)? %");
        assertThat(causes(application, Units.US)).noneMatch(c -> c.matches(".*\\d g\\b.*"));
    }
}
