package io.causticon.core.model.said.entry;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Which bars a maker means. */
class BarsSaidTest {

    private static final Instant BEGUN = Instant.parse("2026-10-20T18:00:00Z");

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
                        Catalogue.standard()));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "wash calm on bar 3|3|1",
                "wash burns with bars 2, 5 and 8|2 5 8|3",
                "titrate 0.05 bars 1-3|1 2 3|3",
                "pen 9.8 of bar #7|7|1",
                "strip 9 on 3 bars||3",
                "see white spots in three bars near the top||3",
                "no white spots bar 12|12|1",
                "no weeping 2 bars||2",
                "wash calm with another bar||0",
                "wash calm on bar 3, 15 min later|3|1",
                "wash tight bars 8 and 2|2 8|2",
                "wash calm barely||0"
            })
    void namesTheBars(String line, @Nullable String numbers, int count) {
        Entry entry = read(line).entries().get(0);
        Bars on = entry.on();
        List<Integer> named = numbers == null
                ? List.of()
                : Arrays.stream(numbers.split(" ")).map(Integer::valueOf).toList();
        assertThat(on).isEqualTo(count == 0 ? null : new Bars(named, count));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "wash calm on the cream bar|of cream",
                "wash calm on cream bars|of cream",
                "wash calm of goat, twice|of goat",
                "wash calm with goat bar 2|2 of goat",
                "wash calm on bar 3 of the cream|3 of cream",
                "wash calm on 1 bar of Goat|of Goat",
                "wash calm on the top|",
                "wash calm in the bathroom|",
                "bar 83.2 g of cream|of cream",
                "bar 83.2 g on bar 2 of goat|2 of goat",
                "ash on the cream bar|?",
                "goat lather 4|of goat",
                "cream bar 83.2 g|of cream",
                "cream bar 3 83.2 g|3 of cream",
                "goat ph 9.5 strip|of goat",
                "see bloom on the cream bar|of cream",
                "lather 4 with goat|of goat",
                "needle 3.5 mm on bar 3|3",
                "titrate 2.5 ml of 0.1 N for 5 g on the goat bar|of goat"
            })
    void namesThePortion(String line, @Nullable String label) {
        QuickLine.Reading read = QuickLine.read(
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
        if ("?".equals(label)) {
            assertThat(read.problems())
                    .extracting(Problem::key)
                    .containsAnyOf(ProblemKey.NOT_UNDERSTOOD, ProblemKey.NOT_UNDERSTOOD_MAYBE);
            return;
        }
        assertThat(Bars.label(read.entries().get(0).on())).isEqualTo(label == null ? "" : label);
    }

    /** "bar 3" may be the third, or three ounces of soap. */
    @ParameterizedTest
    @CsvSource({
        "bar 3, METRIC, true",
        "bar 104, METRIC, false",
        "bar 3, US, true",
        "bar 3 4 1/4 oz, US, false",
        "bar 3 4.1, US, false",
        "bar 3.5, US, false",
        "bar 4 oz, US, false"
    })
    void aBareNumberIsAskedAbout(String line, String units, boolean asked) {
        QuickLine.Reading read = QuickLine.read(
                line,
                new QuickContext(
                        recipe().fat("olive-oil", 500).plan(),
                        BEGUN,
                        BEGUN.plusSeconds(86_400L * 60),
                        ZoneOffset.UTC,
                        "US".equals(units) ? Units.US : Units.METRIC,
                        Findings.vocabulary()));
        assertThat(read.problems().stream().map(Problem::key).toList().contains(ProblemKey.BAR_OR_MASS))
                .isEqualTo(asked);
        assertThat(read.entries().isEmpty()).isEqualTo(asked);
    }

    /** How it was done, half said, is no result. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "titrate 2.5 of 0.1 N for 5 g",
                "titrate 12 December ml of 12 December N",
                "titrate 3 drops",
                "titrate 2.5 ml",
                "titrate 10 with citric",
                "titrate 2 0.1 5"
            })
    void aTitrationIsNeverTakenForPerCent(String line) {
        assertThat(read(line).entries()).isEmpty();
        assertThat(read(line).problems()).extracting(Problem::key).contains(ProblemKey.NOT_PER_CENT);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "wash calm on bar 0",
                "wash calm on 0 bars",
                "wash calm on bars 3 and 9999",
                "wash calm on bars 1-99999"
            })
    void barsThatCannotBeAreTold(String line) {
        assertThat(read(line).entries()).isEmpty();
        assertThat(read(line).problems())
                .extracting(Problem::key)
                .containsAnyOf(ProblemKey.TOO_LOW, ProblemKey.TOO_HIGH);
    }

    @Test
    void aFieldOfItsOwnWantsNoWords() {
        assertThat(QuickLine.bars("bars", " 3 ")).isEqualTo(Bars.numbered(3));
        assertThat(QuickLine.bars("bars", "8, 2 and 5")).isEqualTo(Bars.numbered(2, 5, 8));
        assertThat(QuickLine.bars("bars", "3 bars")).isEqualTo(Bars.some(3));
        assertThat(QuickLine.bars("bars", "bar 3")).isEqualTo(Bars.numbered(3));
        assertThat(QuickLine.bars("bars", "  ")).isNull();
        for (String none : List.of("the ends", "3 of them", "-1", "3;5", "1e3")) {
            assertThatThrownBy(() -> QuickLine.bars("bars", none)).as(none).isInstanceOf(ProblemsException.class);
        }
    }
}
