package io.causticon.core.model.said.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class SheetDaysTest {

    private static LocalDate read(String cell, TimeShape shape) {
        return SheetDays.read(cell, shape).orElseThrow();
    }

    @Test
    void asksWhereADayMayBeAMonth() {
        assertThat(SheetDays.shapes(List.of("3/4/2024", "", "5/6/2024")))
                .containsExactly(TimeShape.DAY_FIRST, TimeShape.MONTH_FIRST);
        assertThat(SheetDays.shapes(List.of("3/4/2024", "13/6/2024"))).containsExactly(TimeShape.DAY_FIRST);
        assertThat(SheetDays.shapes(List.of("3/4/2024", "6/13/2024"))).containsExactly(TimeShape.MONTH_FIRST);
        // On the fourth of April it makes no difference.
        assertThat(SheetDays.shapes(List.of("4/4/2024"))).hasSize(1);
        assertThat(SheetDays.shapes(List.of("3 April 2024", "2024-05-06"))).hasSize(1);
        assertThat(SheetDays.shapes(List.of("3/4/2024", "whenever"))).isEmpty();
    }

    @Test
    void readsDaysInFiguresAndInWords() {
        LocalDate third = LocalDate.of(2024, 4, 3);
        assertThat(read("3.4.2024", TimeShape.DAY_FIRST)).isEqualTo(third);
        assertThat(read("3.4.24", TimeShape.DAY_FIRST)).isEqualTo(third);
        assertThat(read("4/3/2024", TimeShape.MONTH_FIRST)).isEqualTo(third);
        assertThat(read("2024-04-03 18:20", TimeShape.ISO)).isEqualTo(third);
        assertThat(List.of("3 April 2024", "3. April 2024", "Apr 3, 2024", "April 3 2024", "3-Apr-24"))
                .allSatisfy(d -> assertThat(read(d, TimeShape.ISO)).isEqualTo(third));
        assertThat(read("3. M\u00e4rz 2024", TimeShape.ISO)).isEqualTo(LocalDate.of(2024, 3, 3));
    }

    @Test
    void knowsNoDayThatThereIsNot() {
        assertThat(SheetDays.read("31.2.2024", TimeShape.DAY_FIRST)).isEmpty();
        assertThat(SheetDays.read("29.2.2023", TimeShape.DAY_FIRST)).isEmpty();
        assertThat(SheetDays.read("31 April 2024", TimeShape.ISO)).isEmpty();
        assertThat(SheetDays.read("45385", TimeShape.ISO)).isEmpty();
    }
}
