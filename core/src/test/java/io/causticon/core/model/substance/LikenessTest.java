package io.causticon.core.model.substance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LikenessTest {

    private static final Catalogue TABLES = Catalogue.standard();

    private static List<String> like(String id) {
        return Likeness.nearest(TABLES.fat(id), TABLES.fats(), 5).stream()
                .map(Fat::id)
                .toList();
    }

    @ParameterizedTest
    @CsvSource({"lard, tallow-beef", "coconut-oil-76, babassu-oil", "sunflower-oil, soybean-oil"})
    void makersWouldTakeOneForTheOther(String fat, String other) {
        assertThat(like(fat)).contains(other);
    }

    @Test
    void castorIsLikeNothing() {
        assertThat(like("castor-oil")).isEmpty();
    }

    @Test
    void aFatIsTheSameAsItselfAndAsFarFromAnotherAsThatFromIt() {
        Fat lard = TABLES.fat("lard");
        Fat olive = TABLES.fat("olive-oil");
        assertThat(Likeness.exchangedShare(lard, lard)).isZero();
        assertThat(Likeness.exchangedShare(lard, olive))
                .isCloseTo(Likeness.exchangedShare(olive, lard), within(1e-12))
                .isBetween(0.2, 0.6);
    }
}
