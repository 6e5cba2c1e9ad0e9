package io.causticon.core.workshop.assessment;

import static io.causticon.core.Recipes.recipe;
import static io.causticon.core.workshop.assessment.Histories.BEGUN;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.DoubtKind;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Process;
import io.causticon.core.model.said.entry.QuickContext;
import io.causticon.core.model.said.entry.QuickLine;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DoubtsTest {

    private static final BatchPlan PLAN =
            recipe().fat("olive-oil", 500).fat("castor-oil", 50).purity(98).plan();

    private static Optional<Doubt> of(Entry entry, BatchPlan plan) {
        return Doubts.of(entry, BEGUN, plan, new BatchLog(BEGUN, List.of())).stream()
                .findFirst();
    }

    private static Optional<Doubt> weighed(Weighable what, double grams, Entry... before) {
        List<LoggedEntry> lines = IntStream.range(0, before.length)
                .mapToObj(i -> LoggedEntry.first("line " + i, BEGUN.plusSeconds(i), "Odd", before[i]))
                .toList();
        return Doubts.of(
                        new Entry.Weighed(what, Mass.grams(grams), Tare.TAKEN, null),
                        BEGUN.plusSeconds(60),
                        PLAN,
                        new BatchLog(BEGUN, lines))
                .stream()
                .findFirst();
    }

    @Test
    void aSlippedPointIsAskedAboutWithWhatMayBeMeant() {
        Doubt doubt = weighed(Weighable.fat("castor-oil"), 500).orElseThrow();
        assertThat(doubt.kind()).isEqualTo(DoubtKind.FAR_FROM_PLAN);
        assertThat(((Entry.Weighed) doubt.meant().get(0)).mass().grams()).isEqualTo(50);
        assertThat(weighed(Weighable.fat("castor-oil"), 55)).isEmpty();
        assertThat(weighed(Weighable.fat("castor-oil"), 90).orElseThrow().meant())
                .isEmpty();
    }

    /** 550 g of these want some 71.6 g of lye. */
    @Test
    void lyeIsAskedAboutSoonerThanFat() {
        assertThat(weighed(Weighable.NAOH, 71)).isEmpty();
        assertThat(weighed(Weighable.NAOH, 82)).isPresent();
        assertThat(weighed(Weighable.NAOH, 7.1).orElseThrow().meant()).isNotEmpty();
        assertThat(weighed(Weighable.fat("olive-oil"), 590)).isEmpty();
    }

    @Test
    void whatIsAddedToAFirstWeightIsNotUntilAllOfItIsIn() {
        Entry some = new Entry.Weighed(Weighable.fat("olive-oil"), Mass.grams(400), Tare.TAKEN, null);
        assertThat(weighed(Weighable.fat("olive-oil"), 100, some)).isEmpty();
        Entry all = new Entry.Weighed(Weighable.fat("olive-oil"), Mass.grams(500), Tare.TAKEN, null);
        assertThat(weighed(Weighable.fat("olive-oil"), 500, all).orElseThrow()).satisfies(d -> {
            assertThat(d.kind()).isEqualTo(DoubtKind.TWICE);
            assertThat(d.meant()).containsExactly(new Entry.WeighedAgain(Weighable.fat("olive-oil"), Mass.grams(500)));
        });
        assertThat(weighed(Weighable.fat("olive-oil"), 5, all)).isEmpty();
    }

    @Test
    void whatThePlanDoesNotHaveIsAskedAbout() {
        assertThat(weighed(Weighable.fat("lard"), 200).orElseThrow().kind()).isEqualTo(DoubtKind.NOT_IN_PLAN);
    }

    @ParameterizedTest
    @CsvSource({
        "BATTER, 95, 35",
        "BATTER, 40, ",
        "FATS, 105, 40.56",
        "FATS, 3, 37.4",
        "LYE, 95, ",
        "LYE, 130, 54.44",
        "CORE, 90, ",
        "ROOM, 40, 4.4",
        "ROOM, 21, "
    })
    void anOddTemperatureMayBeOfTheOtherScale(MeasurementPoint spot, double celsius, Double meant) {
        Optional<Doubt> doubt = of(new Entry.TemperatureRead(spot, Temperature.celsius(celsius)), PLAN);
        if (spot == MeasurementPoint.ROOM && celsius == 40) {
            assertThat(doubt.orElseThrow().meant()).isEmpty();
        } else if (meant == null) {
            assertThat(doubt).isEmpty();
        } else {
            Entry.TemperatureRead other =
                    (Entry.TemperatureRead) doubt.orElseThrow().meant().get(0);
            assertThat(other.temperature().celsius()).isCloseTo(meant, within(.01));
        }
    }

    @Test
    void whatIsCookedMayBeHot() {
        BatchPlan cooked = recipe().fat("olive-oil", 500).process(Process.HOT).plan();
        assertThat(of(new Entry.TemperatureRead(MeasurementPoint.BATTER, Temperature.celsius(88)), cooked))
                .isEmpty();
    }

    /** Each line with all that was said before it, and what is asked about it; nothing for "none". */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "lye in                                | none before it                        | HOT_OR_UNREAD_FATS",
                "lye in                                | oil 92                                | HOT_OR_UNREAD_FATS",
                "lye in                                | oil 42                                | none",
                "lye in                                | olive 500 g, oil 42                   | FATS_LEFT_OUT",
                "lye in                                | olive 500 g, castor 50 g, oil 42      | none",
                "@+50m lye in                          | oil 42, @+40m lye in                  | TWICE",
                "@+90m lye in                          | oil 42, @+40m lye in, @+1h poured     | TWICE",
                "@+1h poured                           | olive 500 g                           | FATS_LEFT_OUT",
                "@+1h poured                           | olive 500 g, oil 42, @+40m lye in     | none",
                "@+2h poured                           | @+1h poured                           | TWICE",
                "pot 1 kg                              | olive 500 g, castor 50 g              | POT_BEFORE_LYE",
                "@+50m pot 1 kg                        | oil 42, @+40m lye in                  | none",
                "day 9 wash calm                       | none before it                        | BEFORE_THERE_WAS_SOAP",
                "day 9 wash calm                       | @+1h poured                           | IN_THE_MOULD",
                "@+20h wash calm                       | @+1h poured, @+18h cut 8              | TOO_EARLY",
                "day 9 wash calm                       | @+1h poured, @+18h cut 8              | none",
                "day 9 wash calm on bar 9              | @+1h poured, @+18h cut 8              | NO_SUCH_BAR",
                "day 9 wash calm on bar 8              | @+1h poured, @+18h cut 8              | none",
                "day 9 titrate 0                       | none before it                        | BEFORE_THERE_WAS_SOAP",
                "@+50m no white spots                  | @+40m lye in                          | BEFORE_THERE_WAS_SOAP",
                "day 52 no oil layer                   | @+1h poured, @+18h cut 8              | TOO_LATE",
                "day 2 no oil layer                    | @+1h poured, @+18h cut 8              | none",
                "day 52 see oil layer                  | @+1h poured, @+18h cut 8              | none",
                "@+30m see orange liquor               | none before it                        | none",
            })
    void asks(String line, String before, String asked) {
        BatchLog log = Histories.of(PLAN)
                .log(before.startsWith("none") ? new String[0] : before.trim().split(",\\s*"))
                .batchLog();
        QuickLine.Reading reading = QuickLine.read(
                line.trim(),
                new QuickContext(
                        PLAN,
                        BEGUN,
                        BEGUN.plus(Duration.ofDays(300)),
                        ZoneOffset.UTC,
                        Units.METRIC,
                        Findings.vocabulary()));
        assertThat(reading.problems()).isEmpty();
        Instant at = reading.at().orElse(BEGUN.plusSeconds(180));
        List<DoubtKind> doubts = Doubts.of(reading.entries().get(0), at, PLAN, log).stream()
                .map(Doubt::kind)
                .toList();
        assertThat(doubts).isEqualTo(asked.equals("none") ? List.of() : List.of(DoubtKind.valueOf(asked)));
    }

    @Test
    void whatWasAnsweredIsNotOpen() {
        Entry odd = new Entry.Weighed(Weighable.fat("castor-oil"), Mass.grams(500), Tare.TAKEN, null);
        for (Set<DoubtKind> answered : List.of(
                Set.<DoubtKind>of(),
                Set.of(DoubtKind.TWICE),
                Set.of(DoubtKind.FAR_FROM_PLAN),
                Set.copyOf(Arrays.asList(DoubtKind.values())))) {
            LoggedEntry line = new LoggedEntry(
                    "line", new LoggedEntry.Revision(1, BEGUN, BEGUN, "Odd", odd, false, "", answered), List.of());
            assertThat(Doubts.open(PLAN, new BatchLog(BEGUN, List.of(line))))
                    .hasSize(answered.contains(DoubtKind.FAR_FROM_PLAN) ? 0 : 1)
                    .allSatisfy(open -> assertThat(open.line()).isEqualTo("line"));
        }
    }
}
