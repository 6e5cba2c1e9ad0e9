package io.causticon.core.science.diagnosis;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.said.entry.EntryKinds;
import io.causticon.core.model.said.entry.OnStrip;
import io.causticon.core.model.said.entry.QuickContext;
import io.causticon.core.model.said.entry.QuickLine;
import io.causticon.core.model.said.entry.Tells;
import io.causticon.core.model.said.notation.Units;
import java.time.Instant;
import java.time.ZoneOffset;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Whatever a guided test can come to is a line that the log understands. */
class BarTestTest {

    private static final Instant BEGUN = Instant.parse("2026-03-01T10:00:00Z");

    private static Entry only(String line) {
        QuickLine.Reading read = QuickLine.read(
                line.startsWith("water") ? line : line + " on bar 3",
                new QuickContext(
                        recipe().fat("olive-oil", 500).plan(),
                        BEGUN,
                        BEGUN.plusSeconds(86_400L * 60),
                        ZoneOffset.UTC,
                        Units.METRIC,
                        Findings.vocabulary()));
        assertThat(read.problems()).as(line).isEmpty();
        assertThat(read.entries()).as(line).hasSize(1);
        return read.entries().get(0);
    }

    @ParameterizedTest
    @EnumSource(BarTest.class)
    void everyAnswerIsUnderstood(BarTest test) {
        assertThat(test.steps()).isNotEmpty();
        assertThat(test.answers().isEmpty()).isEqualTo(!test.blanks().isEmpty());
        for (BarTest.Answer answer : test.answers()) {
            Entry entry = only(answer.line());
            assertThat(EntryKinds.of(entry).tells()).isEqualTo(Tells.TESTS);
            if (entry instanceof Entry.WashTested) {
                assertThat(EntryKinds.strip(entry) == OnStrip.ALARM).isEqualTo(answer.isAlarming());
            }
        }
        if (!test.line().isEmpty()) {
            String line = test.line().replace("{acid}", "ml of {strength} N");
            for (BarTest.Blank blank : test.blanks()) {
                line = line.replace("{" + blank.name() + "}", blank.example());
            }
            assertThat(EntryKinds.of(only(line)).tells()).isEqualTo(Tells.TESTS);
        }
        assertThat(BarTest.called(test.name().toLowerCase(java.util.Locale.ROOT)))
                .isEqualTo(test);
    }
}
