package io.causticon.core.entry;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.formula.BatchPlan;
import io.causticon.core.formula.Process;
import io.causticon.core.observation.BatchLog;
import io.causticon.core.observation.Entry;
import io.causticon.core.observation.LoggedEntry;
import io.causticon.core.observation.MeasurementPoint;
import io.causticon.core.observation.Tare;
import io.causticon.core.observation.Weighable;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.api.Test;

class EntryDoubtTest {

    private static final Instant BEGUN = Instant.parse("2026-10-20T18:00:00Z");
    private static final BatchPlan PLAN = recipe().fat("olive-oil", 500).fat("castor-oil", 50).purity(98).plan();

    private static Optional<EntryDoubt> weighed(Weighable what, double grams, Entry... before) {
        List<LoggedEntry> lines = IntStream.range(0, before.length)
                .mapToObj(i -> LoggedEntry.first("line " + i, BEGUN.plusSeconds(i), "Odd", before[i]))
                .toList();
        return EntryDoubt.of(new Entry.Weighed(what, Mass.grams(grams), Tare.TAKEN, null), PLAN, new BatchLog(BEGUN, lines));
    }

    @Test
    void aSlippedPointIsAskedAboutWithWhatMayBeMeant() {
        EntryDoubt doubt = weighed(Weighable.fat("castor-oil"), 500).orElseThrow();
        assertThat(((Entry.Weighed) doubt.meant().orElseThrow()).mass().grams()).isEqualTo(50);
        assertThat(weighed(Weighable.fat("castor-oil"), 55)).isEmpty();
        assertThat(weighed(Weighable.fat("castor-oil"), 90).orElseThrow().meant()).isEmpty();
    }

    /** 550 g of these want some 71.6 g of lye. */
    @Test
    void lyeIsAskedAboutSoonerThanFat() {
        assertThat(weighed(Weighable.NAOH, 71)).isEmpty();
        assertThat(weighed(Weighable.NAOH, 82)).isPresent();
        assertThat(weighed(Weighable.NAOH, 7.1).orElseThrow().meant()).isPresent();
        assertThat(weighed(Weighable.fat("olive-oil"), 590)).isEmpty();
    }

    @Test
    void whatIsAddedToAFirstWeightIsNot() {
        Entry first = new Entry.Weighed(Weighable.fat("olive-oil"), Mass.grams(400), Tare.TAKEN, null);
        assertThat(weighed(Weighable.fat("olive-oil"), 100, first)).isEmpty();
        // What the plan does not know is told elsewhere.
        assertThat(weighed(Weighable.fat("lard"), 4000)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "BATTER, 95, 35", "BATTER, 40, ", "FATS, 105, 40.56", "FATS, 3, 37.4", "LYE, 95, ", "LYE, 130, 54.44", "CORE, 90, ", "ROOM, 40, 4.4", "ROOM, 21, "
    })
    void anOddTemperatureMayBeOfTheOtherScale(MeasurementPoint spot, double celsius, Double meant) {
        Optional<EntryDoubt> doubt = EntryDoubt.of(new Entry.TemperatureRead(spot, Temperature.celsius(celsius)), PLAN, new BatchLog(BEGUN, List.of()));
        if (spot == MeasurementPoint.ROOM && celsius == 40) {
            assertThat(doubt.orElseThrow().meant()).isEmpty();
        } else if (meant == null) {
            assertThat(doubt).isEmpty();
        } else {
            Entry.TemperatureRead other = (Entry.TemperatureRead) doubt.orElseThrow().meant().orElseThrow();
            assertThat(other.temperature().celsius()).isCloseTo(meant, within(.01));
        }
    }

    @Test
    void whatIsCookedMayBeHot() {
        BatchPlan cooked = recipe().fat("olive-oil", 500).process(Process.HOT).plan();
        assertThat(EntryDoubt.of(new Entry.TemperatureRead(MeasurementPoint.BATTER, Temperature.celsius(88)), cooked, new BatchLog(BEGUN, List.of()))).isEmpty();
    }
}
