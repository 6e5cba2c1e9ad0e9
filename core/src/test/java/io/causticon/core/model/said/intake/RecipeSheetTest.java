package io.causticon.core.model.said.intake;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.said.notation.Units;
import io.causticon.core.model.said.note.NotedLine.What;
import io.causticon.core.model.said.note.RecipeNote;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Mass;
import java.util.Arrays;
import java.util.List;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;

class RecipeSheetTest {

    private static final Catalogue TABLES = Catalogue.standard();

    private static RecipeSheet read(String... rows) {
        return RecipeSheet.read(
                Arrays.stream(rows).map(r -> Arrays.asList(r.split("\\|", -1))).toList(),
                List.of(),
                Units.METRIC,
                TABLES);
    }

    private static RecipeNote note(RecipeSheet sheet, int at) {
        RecipeNote note = RecipeNote.read(sheet.recipes().get(at).note(), Units.METRIC, TABLES);
        assertThat(note.lines())
                .allSatisfy(l -> assertThat(l.problem()).as(l.text()).isEmpty());
        return note;
    }

    private static double grams(RecipeNote note, What what) {
        return note.together(what).map(Mass::grams).orElse(0.0);
    }

    @Test
    void readsALineAnIngredientInGermanWithNamesMergedDownwards() {
        RecipeSheet sheet = read(
                "Meine Rezepte||",
                "Rezept|Zutat|Menge (g)|\u00dcberfettung",
                "Dorfseife|Oliven\u00f6l|412,5|5 %",
                "|Kokos\u00f6l|137,5|",
                "|Wasser|165|",
                "Salzst\u00fcck|Kokos\u00f6l|600|0,15",
                "|Destilliertes Wasser|200|");
        assertThat(sheet.layout()).isEqualTo(RecipeSheet.Layout.LINES);
        assertThat(sheet.recipes()).extracting(RecipeSheet.Found::name).containsExactly("Dorfseife", "Salzst\u00fcck");
        RecipeNote first = note(sheet, 0);
        assertThat(grams(first, What.FAT)).isEqualTo(550);
        assertThat(grams(first, What.LIQUID)).isEqualTo(165);
        assertThat(first.percent(What.SUPERFAT)).hasValue(5);
        assertThat(note(sheet, 1).percent(What.SUPERFAT)).hasValue(15);
    }

    @Test
    void readsBlocksUnderATitleWithOuncesInWords() {
        RecipeSheet sheet = read(
                "Lavender Doorstep||",
                "olive oil|twelve and a half ounces|",
                "coconut oil|4 1/4 oz|",
                "lye|2\u00bd ounces|",
                "water|five ounces|",
                "||",
                "Plain One||",
                "lard|8 oz|",
                "lye|one oz|");
        assertThat(sheet.layout()).isEqualTo(RecipeSheet.Layout.BLOCKS);
        assertThat(sheet.recipes())
                .extracting(RecipeSheet.Found::name)
                .containsExactly("Lavender Doorstep", "Plain One");
        RecipeNote note = note(sheet, 0);
        double ounce = 28.349523125;
        assertThat(grams(note, What.FAT)).isCloseTo(16.75 * ounce, Percentage.withPercentage(0.01));
        assertThat(grams(note, What.SODIUM_HYDROXIDE)).isCloseTo(2.5 * ounce, Percentage.withPercentage(0.01));
        assertThat(grams(note, What.LIQUID)).isCloseTo(5 * ounce, Percentage.withPercentage(0.01));
    }

    @Test
    void readsAColumnAnIngredientAndLeavesOutWhatIsNotThere() {
        RecipeSheet sheet = read(
                "Soap|Date|Olive oil (g)|Coconut oil (g)|Castor oil (g)|Water (g)|SF|Notes",
                "First|2024-03-01|400|150|50|200|5|nice",
                "Second||600|||190|0.08|");
        assertThat(sheet.layout()).isEqualTo(RecipeSheet.Layout.COLUMNS);
        assertThat(grams(note(sheet, 0), What.FAT)).isEqualTo(600);
        assertThat(note(sheet, 1).of(What.FAT)).hasSize(1);
        assertThat(note(sheet, 1).percent(What.SUPERFAT)).hasValue(8);
    }

    @Test
    void readsAmountsAsPeopleWriteThem() {
        assertThat(NumberWords.digits("twelve and a half ounces")).isEqualTo("12.5 oz");
        assertThat(NumberWords.digits("twenty-one oz")).isEqualTo("21 oz");
        assertThat(NumberWords.digits("a pound")).isEqualTo("1 lb");
        assertThat(NumberWords.digits("zw\u00f6lfeinhalb Unzen")).isEqualTo("12.5 oz");
        assertThat(NumberWords.digits("three quarters of an oz")).startsWith("0.75");
        assertThat(NumberWords.digits("10 1/2 oz")).isEqualTo("10.5 oz");
        assertThat(NumberWords.digits("\u00bc oz")).isEqualTo("0.25 oz");
        assertThat(NumberWords.digits("3/0 oz")).isEqualTo("3/0 oz");
        assertThat(NumberWords.digits("some")).isEqualTo("some");
        assertThat(NumberWords.digits("one hundred fifty g")).isEqualTo("150 g");
        assertThat(NumberWords.digits("two fifty g")).as("not 52").isEqualTo("two fifty g");
        assertThat(NumberWords.digits("seven seven oz")).isEqualTo("seven seven oz");
        assertThat(NumberWords.digits("fifty-seven oz")).isEqualTo("57 oz");
    }

    @Test
    void findsNothingWhereNothingIs() {
        assertThat(read("a|b", "c|d").layout()).isEqualTo(RecipeSheet.Layout.NONE);
        assertThat(RecipeSheet.read(List.of(), List.of(), Units.METRIC, TABLES).recipes())
                .isEmpty();
    }

    @Test
    void findsWhatWasMadeOnWhichDay() {
        RecipeSheet rows = read(
                "Soap|Made on|Olive oil (g)|Coconut oil (g)|Bars|Notes",
                "Quay|3.4.2024|400|200|8|soft",
                "Quay|1.5.2024|410|190||",
                "Plain||300|300||");
        assertThat(rows.recipes())
                .extracting(r ->
                        r.name() + " " + r.making().day() + " " + r.making().bars())
                .containsExactly("Quay 3.4.2024 8", "Quay 1.5.2024 ", "Plain  ");
        assertThat(rows.recipes().get(0).making().notes()).containsExactly("soft");
        // The same soap on two days is two batches, each with its own ingredients.
        RecipeSheet lines = read(
                "Seife|Datum|Zutat|Menge (g)|Bemerkung",
                "Dorf|1.2.2025|Oliven\u00f6l|400|",
                "||Kokos\u00f6l|100|weich",
                "Dorf|8.2.2025|Oliven\u00f6l|500|",
                "Moor||Oliven\u00f6l|300|");
        assertThat(lines.recipes())
                .extracting(r -> r.name() + " " + r.making().day())
                .containsExactly("Dorf 1.2.2025", "Dorf 8.2.2025", "Moor ");
        assertThat(lines.recipes().get(0).making().notes()).containsExactly("weich");
        assertThat(grams(note(lines, 1), What.FAT)).isEqualTo(500);
    }

    @Test
    void takesNoSignForADash() {
        RecipeSheet sheet = read("Soap|Olive oil (g)|Coconut oil (g)", "Odd|400|-200", "Odder|400|\u2212 200");
        assertThat(sheet.recipes()).allSatisfy(r -> {
            assertThat(r.note()).contains("minus 200");
            assertThat(RecipeNote.read(r.note(), Units.METRIC, TABLES).isUnderstood())
                    .isFalse();
        });
    }
}
