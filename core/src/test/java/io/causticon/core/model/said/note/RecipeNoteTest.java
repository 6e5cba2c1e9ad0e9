package io.causticon.core.model.said.note;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.said.notation.Units;
import io.causticon.core.model.said.note.NotedLine.What;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.problem.ProblemKey;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class RecipeNoteTest {

    private static RecipeNote note(String text) {
        return RecipeNote.read(text, Units.METRIC, Catalogue.standard());
    }

    private static NotedLine line(String text) {
        assertThat(note(text).lines()).hasSize(1);
        return note(text).lines().get(0);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "olive oil 400 | olive-oil | 400",
                "400 g olive oil | olive-oil | 400",
                "Olive Oil: 400 g | olive-oil | 400",
                "- olive oil, 0.4 kg | olive-oil | 400",
                "12 oz lard | lard | 340.19",
                "lard 12 oz. | lard | 340.19",
                "1 lb 2 oz of beef tallow | tallow-beef | 510.29",
                "coconut 100 | coconut-oil-76 | 100",
                "coconut oil 76 100 g | coconut-oil-76 | 100",
                "100 high oleic sunflower oil | sunflower-oil-high-oleic | 100",
                "rapeseed oil 0,25 kg | canola-oil | 250",
                "castor 5 | castor-oil | 5",
                "water 150 | distilled-water | 150",
                "150g water | distilled-water | 150",
                "goat milk 80 | goat-milk-whole | 80",
                "kaolin 10 g | kaolin | 10"
            })
    void namesAndAmountsInAnyOrder(String text, String id, double grams) {
        assertThat(line(text).problem()).isEmpty();
        assertThat(line(text).id()).isEqualTo(id);
        assertThat(line(text).mass().orElseThrow().grams()).isCloseTo(grams, within(.01));
    }

    @Test
    void aWholeNote() {
        RecipeNote note = note("olive oil 400\n\ncoconut 100\nlye 71\n water 150 \nsuperfat 5 %\nclay 1 %\n");
        assertThat(note.of(What.FAT)).extracting(NotedLine::id).containsExactly("olive-oil", "coconut-oil-76");
        assertThat(note.together(What.SODIUM_HYDROXIDE).orElseThrow().grams()).isEqualTo(71);
        assertThat(note.percent(What.SUPERFAT)).hasValue(5);
        assertThat(note.together(What.POTASSIUM_HYDROXIDE)).isEmpty();
    }

    @Test
    void ouncesWhereTheMakerThinksInThem() {
        RecipeNote note = RecipeNote.read("olive oil 16\nlye 2.1\nkoh 10 g", Units.US, Catalogue.standard());
        assertThat(note.together(What.FAT).orElseThrow().inOunces()).isCloseTo(16, within(1e-9));
        assertThat(note.together(What.SODIUM_HYDROXIDE).orElseThrow().inOunces())
                .isCloseTo(2.1, within(1e-9));
        assertThat(note.together(What.POTASSIUM_HYDROXIDE).orElseThrow().grams())
                .isEqualTo(10);
    }

    @Test
    void sharesOfATotal() {
        RecipeNote note = note("olive oil 80 %\n20% coconut\ntotal 500\nconcentration 33");
        assertThat(note.percent(What.CONCENTRATION)).hasValue(33);
        assertThat(note.of(What.FAT)).extracting(l -> l.percent().orElse(0)).containsExactly(80.0, 20.0);
        assertThat(note.together(What.TOTAL).orElseThrow().grams()).isEqualTo(500);
    }

    @Test
    void whatIsNotUnderstoodIsAskedAbout() {
        assertThat(line("moonbeam 40").problem().orElseThrow().key()).isEqualTo(ProblemKey.UNKNOWN_SUBSTANCE);
        assertThat(line("colive oil 400").what()).isEmpty();
        assertThat(line("cocconut oil 400").maybe())
                .anyMatch(n -> n.toLowerCase().contains("coco"));
        assertThat(line("olive oil").problem().orElseThrow().key()).isEqualTo(ProblemKey.NO_AMOUNT);
        assertThat(line("olive oil some").problem()).isPresent();
        assertThat(note("olive oil 400\nxx").isUnderstood()).isFalse();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "400",
                "%",
                "-",
                "1e9 olive oil",
                "<b>",
                "olive oil 4 stone",
                "\u0000",
                "99999999999999999999999 g",
                "olive oil -400"
            })
    void nothingOddIsTakenForARecipe(String text) {
        assertThat(note(text).lines()).noneMatch(l -> l.is(What.SODIUM_HYDROXIDE));
        assertThat(note(text).lines())
                .allMatch(l -> l.problem().isPresent() || l.mass().isPresent());
    }

    @Test
    void aNoteOfAThousandLinesIsCut() {
        assertThat(note("lard 1\n".repeat(1000)).lines()).hasSize(RecipeNote.MOST_LINES);
    }
}
