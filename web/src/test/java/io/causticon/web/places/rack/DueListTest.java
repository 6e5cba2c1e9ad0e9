package io.causticon.web.places.rack;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.workshop.dates.Tasks;
import io.causticon.web.store.batch.BatchSummary;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class DueListTest {

    private static final BatchSummary NO_MATTER = null;
    private static final Instant NOW = Instant.parse("2026-11-28T12:00:00Z");

    private static List<DueList.Due> some(String style, int many) {
        return IntStream.range(0, many)
                .mapToObj(i -> new DueList.Due(style + " " + i, "", "", style, "/"))
                .toList();
    }

    @Test
    void whatIsHeldIsNeverLeftOutAndTheRestIsCounted() {
        DueList.Shown shown = DueList.Shown.of(some("hold", 40), some("late", 19), false);
        assertThat(shown.due())
                .startsWith(some("hold", 40).toArray(DueList.Due[]::new))
                .hasSize(52);
        assertThat(shown.due().get(51).title()).isEqualTo("late 11");
        assertThat(shown.more()).isEqualTo(7);
    }

    @Test
    void aLoafInItsMouldComesBeforeWhatHasWaitedForWeeks() {
        List<DueList.Open> open = Stream.of(
                        Tasks.Kind.LOOK,
                        Tasks.Kind.WEIGH,
                        Tasks.Kind.CUT,
                        Tasks.Kind.LOOK,
                        Tasks.Kind.UNMOULD,
                        Tasks.Kind.WASH_TEST)
                .map(kind -> open(kind, kind == Tasks.Kind.LOOK ? 29 : kind == Tasks.Kind.UNMOULD ? 0 : kind.ordinal()))
                .sorted(DueList.whatDoesNotWaitFirst(NOW))
                .toList();
        assertThat(open)
                .extracting(o -> o.task().kind())
                .containsExactly(
                        Tasks.Kind.CUT,
                        Tasks.Kind.UNMOULD,
                        Tasks.Kind.WEIGH,
                        Tasks.Kind.WASH_TEST,
                        Tasks.Kind.LOOK,
                        Tasks.Kind.LOOK);
    }

    @Test
    void whatIsLateComesBeforeALoafThatIsNotDueYet() {
        assertThat(Stream.of(open(Tasks.Kind.UNMOULD, -1), open(Tasks.Kind.WASH_TEST, 2))
                        .sorted(DueList.whatDoesNotWaitFirst(NOW)))
                .extracting(o -> o.task().kind())
                .containsExactly(Tasks.Kind.WASH_TEST, Tasks.Kind.UNMOULD);
    }

    private static DueList.Open open(Tasks.Kind kind, int daysLate) {
        Instant due = NOW.minus(Duration.ofDays(daysLate));
        return new DueList.Open(NO_MATTER, new Tasks.Task(kind, due, Optional.empty()));
    }

    @Test
    void whoeverAsksForAllHasAll() {
        assertThat(DueList.Shown.of(some("hold", 1), some("late", 19), true))
                .isEqualTo(new DueList.Shown(
                        IntStream.range(0, 20)
                                .mapToObj(i -> (i == 0 ? some("hold", 1) : some("late", 19)).get(Math.max(0, i - 1)))
                                .toList(),
                        0));
        assertThat(DueList.Shown.of(List.of(), some("due", 3), false).more()).isZero();
    }
}
