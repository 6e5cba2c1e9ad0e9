package io.causticon.core.workshop.dates;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.workshop.dates.ReadyBy.BenchTaken;
import io.causticon.core.workshop.dates.ReadyBy.Goal;
import io.causticon.core.workshop.dates.ReadyBy.Kind;
import io.causticon.core.workshop.dates.ReadyBy.Making;
import io.causticon.core.workshop.dates.ReadyBy.Taken;
import java.time.LocalDate;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Backwards from a day. */
class ReadyByTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 10, 1);
    private static final LocalDate MARKET = LocalDate.of(2026, 12, 12);
    private static final Kind LOAF = new Kind(15, 42, 3, 1.5);

    @Test
    void threeLoavesOneAfterAnotherThroughOneMould() {
        ReadyBy found = ReadyBy.of(new Goal(40, MARKET, TODAY, 4), LOAF, List.of(), List.of());
        // 42 days before the market, and each three days earlier than the next.
        assertThat(found.makings())
                .extracting(Making::on)
                .containsExactly(LocalDate.of(2026, 10, 25), LocalDate.of(2026, 10, 28), LocalDate.of(2026, 10, 31));
        assertThat(found.makings()).allMatch(m -> !m.ready().isAfter(MARKET));
        assertThat(found.missing()).isZero();
    }

    @Test
    void whatIsInTheMouldAndAtTheBenchMovesThemEarlier() {
        List<Taken> mould = List.of(new Taken(LocalDate.of(2026, 10, 30), LocalDate.of(2026, 11, 2)));
        List<BenchTaken> bench = List.of(new BenchTaken(LocalDate.of(2026, 10, 27), 3));
        ReadyBy found = ReadyBy.of(new Goal(40, MARKET, TODAY, 4), LOAF, mould, bench);
        assertThat(found.makings())
                .extracting(Making::on)
                .containsExactly(LocalDate.of(2026, 10, 20), LocalDate.of(2026, 10, 23), LocalDate.of(2026, 10, 26));
    }

    @Test
    void tooLateIsToldWithTheDayOnWhichItCanBe() {
        ReadyBy found = ReadyBy.of(new Goal(40, LocalDate.of(2026, 11, 14), TODAY, 4), LOAF, List.of(), List.of());
        assertThat(found.makings()).extracting(Making::on).containsExactly(LocalDate.of(2026, 10, 3));
        assertThat(found.missing()).isEqualTo(25);
        assertThat(found.allReady()).isEqualTo(LocalDate.of(2026, 10, 7).plusDays(42));
        assertThat(ReadyBy.of(new Goal(40, TODAY, TODAY, 4), LOAF, List.of(), List.of())
                        .makings())
                .isEmpty();
    }

    @Test
    void aRecipesOwnCureIsReckonedWith() {
        Kind mixed = Kind.of(recipe().fat("olive-oil", 300).fat("palm-oil", 700).plan());
        Kind olive = Kind.of(recipe().fat("olive-oil", 1000).plan());
        assertThat(olive.cureDays()).isGreaterThan(84);
        assertThat(mixed.cureDays()).isBetween(28, olive.cureDays() - 1);
        assertThat(olive.mouldDays()).isGreaterThan(mixed.mouldDays());
    }

    @Test
    void neverTwoInOneMouldNorAfterTheDay() {
        Random random = new Random(5);
        for (int i = 0; i < 300; i++) {
            Kind kind = new Kind(
                    random.nextInt(1, 30), random.nextInt(7, 100), random.nextInt(1, 8), random.nextDouble(0.5, 9));
            Goal goal = new Goal(
                    random.nextInt(1, 300), TODAY.plusDays(random.nextInt(0, 200)), TODAY, random.nextDouble(0.5, 9));
            List<Taken> taken =
                    List.of(new Taken(TODAY.plusDays(random.nextInt(60)), TODAY.plusDays(60 + random.nextInt(20))));
            ReadyBy found = ReadyBy.of(goal, kind, taken, List.of());
            assertThat(found.makings().size()).isLessThanOrEqualTo(ReadyBy.MOST_MAKINGS);
            for (int m = 0; m < found.makings().size(); m++) {
                Making making = found.makings().get(m);
                assertThat(making.ready()).isBeforeOrEqualTo(goal.by());
                assertThat(making.on()).isAfterOrEqualTo(TODAY);
                assertThat(making.on().isAfter(taken.get(0).to())
                                || making.on()
                                        .plusDays(kind.mouldDays() - 1L)
                                        .isBefore(taken.get(0).from()))
                        .isTrue();
                if (m > 0) {
                    assertThat(making.on())
                            .isAfterOrEqualTo(found.makings().get(m - 1).on().plusDays(kind.mouldDays()));
                }
            }
            if (found.missing() > 0 && found.makings().size() < ReadyBy.MOST_MAKINGS) {
                assertThat(found.allReady()).isAfter(goal.by());
            }
        }
    }
}
