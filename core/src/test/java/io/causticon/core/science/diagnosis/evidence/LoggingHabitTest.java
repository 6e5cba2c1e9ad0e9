package io.causticon.core.science.diagnosis.evidence;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.science.diagnosis.Cases;
import io.causticon.core.science.diagnosis.Diagnosis;
import io.causticon.core.science.diagnosis.Diagnostician;
import io.causticon.core.science.diagnosis.Ledger;
import io.causticon.core.science.diagnosis.knowledge.StandardKnowledge;
import io.causticon.core.science.diagnosis.network.Weight;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Silence says a little where a workshop tells what is odd, and nothing of hazards. */
class LoggingHabitTest {

    private static final LoggingHabit ODD_ONLY = new LoggingHabit(60, 0);
    private static final Diagnostician ANYWHERE = new Diagnostician(StandardKnowledge.all());
    private static final Diagnostician HERE = new Diagnostician(StandardKnowledge.all(), ODD_ONLY);

    private static Cases made(String... lines) {
        return Cases.batch(recipe().fat("olive-oil", 500)
                        .fat("lard", 264)
                        .fat("coconut-oil-76", 236)
                        .purity(98))
                .weighedAsPlanned()
                .log("@+40m light", "@+1h poured 39")
                .log(lines);
    }

    private static double of(Diagnostician by, Cases made, String condition) {
        return by.examine(made.facts(), KnownVessels.NONE).reports().stream()
                .filter(r -> r.condition().id().equals(condition))
                .findFirst()
                .orElseThrow()
                .probability();
    }

    @Test
    void isLearnedSlowlyAndOfOddityAlone() {
        assertThat(LoggingHabit.UNKNOWN.silenceShare()).isZero();
        assertThat(new LoggingHabit(3, 0).silenceShare()).isLessThan(.15);
        // (0 + 5) / 70 of all that was told was absence: a quarter of one less twice that.
        assertThat(ODD_ONLY.silenceShare()).isCloseTo(.25 * (1 - 2 * 5 / 70.0), within(1e-12));
        assertThat(new LoggingHabit(20, 60).silenceShare()).isZero();
        assertThat(new LoggingHabit(2, 1).plus(new LoggingHabit(1, 3))).isEqualTo(new LoggingHabit(3, 4));
        assertThat(LoggingHabit.of(made("day 4 see thin bloom", "day 5 no white spots", "day 6 touch firm")
                        .facts()))
                .isEqualTo(new LoggingHabit(1, 1));
    }

    @Test
    void whatWouldHaveBeenToldIsALittleLessLikely() {
        Cases bloom = made("day 9 see thin bloom");
        assertThat(of(HERE, bloom, "overheated"))
                .isLessThan(of(ANYWHERE, bloom, "overheated"))
                .isGreaterThan(of(ANYWHERE, bloom, "overheated") / 5);
        // A look says more than silence.
        Cases looked = made("day 9 see thin bloom", "day 9 no crack along the top", "day 9 no dome or heave");
        assertThat(of(ANYWHERE, looked, "overheated")).isLessThan(of(ANYWHERE, bloom, "overheated"));
        assertThat(HERE.examine(bloom.facts(), KnownVessels.NONE).reports())
                .anySatisfy(r -> assertThat(r.ledger().lines())
                        .extracting(Ledger.Line::kind)
                        .contains(Ledger.Kind.SILENCE));
        // Of a batch that nobody had in hand, nothing is unsaid.
        Cases untouched = Cases.batch(recipe().fat("olive-oil", 1000));
        assertThat(of(HERE, untouched, "overheated")).isEqualTo(of(ANYWHERE, untouched, "overheated"));
    }

    @Test
    void theLedgerAddsUpToWhereItStands() {
        Diagnosis diagnosis = HERE.examine(
                made("day 9 see thin bloom", "day 9 see crack along the top", "day 9 strip 9")
                        .facts(),
                KnownVessels.NONE);
        assertThat(diagnosis.reports())
                .allSatisfy(r -> assertThat(r.ledger().sum())
                        .isCloseTo(10 * Math.log10(Weight.odds(r.probability())), within(1e-6)));
    }

    @Test
    void noSilenceClearsAHazard() {
        List<Cases> all = List.of(
                made("day 9 see thin bloom"),
                made("day 9 wash burns"),
                made("day 9 see white or clear hard spots inside", "day 9 touch firm"),
                made("day 9 see pale crust, thick", "day 12 see crust grows week by week"),
                made("day 1 see oil or liquor stands on top", "day 2 see soft below a hard skin"),
                made("day 3 see thick, pale and grainy while cool"));
        for (Cases one : all) {
            Diagnosis anywhere = ANYWHERE.examine(one.facts(), KnownVessels.NONE);
            Diagnosis here = HERE.examine(one.facts(), KnownVessels.NONE);
            assertThat(here.anyHazard()).isGreaterThanOrEqualTo(anywhere.anyHazard() - 1e-9);
        }
    }
}
