package io.causticon.core.model.substance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class CatalogueTest {

    private static final Catalogue CATALOGUE = Catalogue.standard();

    static Stream<Fat> fatsWithTheory() {
        return CATALOGUE.fats().stream().filter(f -> f.kind() != FatKind.WAX_ESTER);
    }

    @ParameterizedTest
    @MethodSource("fatsWithTheory")
    void saponificationValueFollowsFromTheFattyAcids(Fat fat) {
        double theory = FatTheory.saponificationValue(fat);
        assertThat(fat.saponificationRange().contains(theory))
                .as("%s: %.1f", fat.name(), theory)
                .isTrue();
        assertThat(fat.saponificationValue()).as(fat.name()).isCloseTo(theory, within(0.013 * theory));
    }

    @ParameterizedTest
    @MethodSource("fatsWithTheory")
    void iodineValueFollowsFromTheDoubleBonds(Fat fat) {
        double theory = FatTheory.iodineValue(fat);
        // Half a unit either way: a free acid of 0.1 has no room for the rounding of its composition.
        assertThat(theory)
                .as(fat.name())
                .isBetween(fat.iodineRange().low() - .5, fat.iodineRange().high() + .5);
    }

    @ParameterizedTest
    @MethodSource("fatsWithTheory")
    void acidsMakeAWhole(Fat fat) {
        double sum = fat.acids().stream().mapToDouble(a -> a.share().fraction()).sum();
        assertThat(sum).as(fat.name()).isCloseTo(1, within(0.006));
    }

    @Nested
    class EveryRow {

        @Test
        void hasAValueInsideItsOwnRange() {
            assertThat(CATALOGUE.fats()).allSatisfy(f -> {
                assertThat(f.saponificationRange().contains(f.saponificationValue()))
                        .isTrue();
                assertThat(f.iodineRange().contains(f.iodineValue())).isTrue();
                assertThat(f.saponificationSpread().inPercent()).isBetween(0.5, 25.0);
                assertThat(f.source()).isNotBlank();
            });
        }

        @Test
        void ofTheLiquidsHoldsNoMoreThanAWhole() {
            assertThat(CATALOGUE.liquids()).allSatisfy(l -> {
                double sum = Stream.of(l.water(), l.sugar(), l.protein(), l.fat(), l.acidity(), l.salt(), l.alcohol())
                        .mapToDouble(s -> s.fraction())
                        .sum();
                assertThat(sum).as(l.name()).isBetween(0.85, 1.005);
            });
        }

        @Test
        void ofTheLiquidsCountsItsFatAsAKnownFat() {
            assertThat(CATALOGUE.liquids())
                    .filteredOn(l -> l.fatAs() != null)
                    .allSatisfy(l -> assertThat(CATALOGUE.findFat(l.fatAs())).isPresent());
        }

        @Test
        void ofTheAdditivesHasItsUsualDoseBelowItsCap() {
            assertThat(CATALOGUE.additives())
                    .filteredOn(a -> a.usual() != null && a.cap() != null)
                    .allSatisfy(a -> assertThat(a.usual().high()).as(a.name()).isLessThanOrEqualTo(a.cap()));
        }
    }

    @Test
    void makersMayCallASubstanceByItsShortName() {
        assertThat(List.of("olive", "Olive-oil", "olive oil"))
                .allMatch(called -> Catalogue.answersTo("olive-oil", "Olive oil (virgin or refined)", called));
        assertThat(Catalogue.answersTo("olive-pomace-oil", "Olive pomace oil", "olive oil"))
                .isFalse();
        assertThat(Catalogue.answersTo("eo-lavender", "Essential oil: lavender", "lav"))
                .isTrue();
        assertThat(Catalogue.answersTo("eo-lavender", "Essential oil: lavender", "l"))
                .as("a slip of the thumb")
                .isFalse();
    }

    /** What is looked up among all is the first one that answers when each is asked, whatever words are used. */
    @Test
    void whatIsCalledIsTheFirstThatAnswers() {
        List<String> ids = Stream.of(
                        CATALOGUE.fats().stream().map(Fat::id),
                        CATALOGUE.liquids().stream().map(Liquid::id),
                        CATALOGUE.additives().stream().map(Additive::id))
                .flatMap(i -> i)
                .toList();
        Stream<String> words = Stream.of(
                        ids.stream()
                                .flatMap(id -> IntStream.rangeClosed(0, id.length())
                                        .mapToObj(end -> id.substring(0, end).replace('-', ' '))),
                        ids.stream().map(id -> id.replaceFirst("^eo-", "")),
                        CATALOGUE.additives().stream().map(a -> a.name().toUpperCase(Locale.ROOT)),
                        CATALOGUE.fats().stream().map(f -> " " + f.name()))
                .flatMap(w -> w);
        assertThat(words.map(Catalogue.Called::of)).hasSizeGreaterThan(1000).allSatisfy(called -> {
            assertThat(CATALOGUE.fatCalled(called))
                    .isEqualTo(first(CATALOGUE.fats(), f -> Catalogue.answersTo(f.id(), f.name(), called)));
            assertThat(CATALOGUE.liquidCalled(called))
                    .isEqualTo(first(CATALOGUE.liquids(), l -> Catalogue.answersTo(l.id(), l.name(), called)));
            assertThat(CATALOGUE.additiveCalled(called))
                    .isEqualTo(first(CATALOGUE.additives(), a -> Catalogue.answersTo(a.id(), a.name(), called)));
        });
    }

    private static <T> Optional<T> first(Collection<T> rows, Predicate<T> answers) {
        return rows.stream().filter(answers).findFirst();
    }

    @Test
    void waxesHaveNoTheory() {
        Fat beeswax = CATALOGUE.fat("beeswax");
        assertThat(org.assertj.core.api.Assertions.catchThrowable(() -> FatTheory.saponificationValue(beeswax)))
                .hasMessageContaining("wax");
    }
}
