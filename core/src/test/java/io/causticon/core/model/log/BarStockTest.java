package io.causticon.core.model.log;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.said.entry.QuickContext;
import io.causticon.core.model.said.entry.QuickLine;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Where bars went, typed as a maker types it. */
class BarStockTest {

    private static final Instant BEGUN = Instant.parse("2026-03-01T10:00:00Z");

    private final List<LoggedEntry> lines = new ArrayList<>();

    private BarStockTest() {
        log(new Entry.Cut(12));
    }

    private static QuickLine.Reading read(String line) {
        return QuickLine.read(
                line,
                new QuickContext(
                        recipe().fat("olive-oil", 500).plan(),
                        BEGUN,
                        BEGUN.plusSeconds(86_400L * 60),
                        ZoneOffset.UTC,
                        Units.METRIC,
                        Findings.vocabulary(),
                        new KnownVessels(Map.of(), Map.of()),
                        Catalogue.standard(),
                        List.of(Named.called("cream"), Named.called("goat"))));
    }

    private List<ProblemKey> say(String line) {
        QuickLine.Reading read = read(line);
        assertThat(read.problems()).as(line).isEmpty();
        assertThat(read.entries()).as(line).hasSize(1);
        List<ProblemKey> problems = BarStock.of(read.entries().get(0), new BatchLog(BEGUN, lines)).all().stream()
                .map(Problem::key)
                .toList();
        if (problems.isEmpty()) {
            log(read.entries().get(0));
        }
        return problems;
    }

    private void log(Entry entry) {
        lines.add(LoggedEntry.first("l" + lines.size(), BEGUN.plusSeconds(86_400L * 30 + lines.size()), "Ines", entry));
    }

    private BarStock stock() {
        return BarStock.of(new BatchLog(BEGUN, lines));
    }

    @Test
    void countsWhatIsLeft() {
        assertThat(say("sold 6 bars to the harbour shop")).isEmpty();
        assertThat(say("gave 2 to Odd")).isEmpty();
        assertThat(say("kept 1 bar")).isEmpty();
        assertThat(say("destroyed bars 3, 4")).isEmpty();
        assertThat(stock().left()).isEqualTo(1);
        assertThat(stock().count(Whither.SOLD)).isEqualTo(6);
        assertThat(say("sold 2 bars")).containsExactly(ProblemKey.NOT_SO_MANY_BARS);
        assertThat(lines.get(1).entry()).isEqualTo(new Entry.BarsWent(Bars.some(6), Whither.SOLD, "the harbour shop"));
    }

    @Test
    void whatIsHeldOrSetApartIsGivenToNobody() {
        assertThat(say("set apart the goat bars: they weep")).isEmpty();
        assertThat(say("sold 2 of goat to the harbour shop")).containsExactly(ProblemKey.APART_NOT_GIVEN);
        assertThat(say("sold 2 bars")).as("which may be of the goat").containsExactly(ProblemKey.APART_NOT_GIVEN);
        assertThat(say("destroyed 1 bar of goat")).isEmpty();
        assertThat(say("sold 2 of cream to the harbour shop")).isEmpty();
        assertThat(say("set apart bars 2 and 5 because of a crack")).isEmpty();
        assertThat(say("gave bars 5, 6 of cream")).containsExactly(ProblemKey.APART_NOT_GIVEN);
        assertThat(say("sold 8 bars of cream"))
                .as("9 are left, and two of them stand apart")
                .containsExactly(ProblemKey.NOT_SO_MANY_BARS);
        assertThat(say("bring back bars 2, 5: only the skin")).isEmpty();
        assertThat(say("gave bars 5, 6 of cream")).isEmpty();
        assertThat(stock().apart()).extracting(Entry.SetApart::reason).containsExactly("they weep");
        log(new Entry.Held("it zaps"));
        assertThat(say("sold 1 bar of cream")).containsExactly(ProblemKey.HELD_NOT_GIVEN);
        assertThat(say("destroyed 1 bar")).isEmpty();
    }

    @Test
    void whatIsNotCutHasNoBars() {
        lines.clear();
        assertThat(say("sold 1 bar")).containsExactly(ProblemKey.NOT_CUT_YET);
    }

    @Test
    void whyIsAskedAndScrapsAreNoBars() {
        assertThat(read("set apart bars 2, 5").problems())
                .extracting(Problem::key)
                .containsExactly(ProblemKey.WHY);
        assertThat(read("set apart everything: it weeps").problems())
                .extracting(Problem::key)
                .containsExactly(ProblemKey.NOT_BARS);
        assertThat(read("kept scraps 120 g").entries()).hasOnlyElementsOfType(Entry.ScrapsKept.class);
    }
}
