package io.causticon.core.model.said.intake;

import io.causticon.core.model.said.notation.Units;
import io.causticon.core.model.said.note.NotedLine;
import io.causticon.core.model.said.note.RecipeNote;
import io.causticon.core.model.substance.Catalogue;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Recipes in somebody's own table, as makers write them: a line an ingredient under the recipe's name
 * ({@link Layout#LINES}), a column an ingredient ({@link Layout#COLUMNS}), or blocks with a title over each
 * ({@link Layout#BLOCKS}). What each column is, is guessed from its heading, and can be said.
 *
 * @param layout how they stand
 * @param recipes in their order
 */
public record RecipeSheet(Layout layout, List<Found> recipes) {

    /** Rows that are read; nobody's book has more. */
    public static final int MOST_ROWS = 5000;

    private static final int MOST_RECIPES = 500;
    private static final Pattern WITH_UNIT = Pattern.compile(
            "^(.*?)\\s*[\\[(]\\s*(g|gr|grams?|gramm|kg|oz|ounces?|unzen|lbs?|pounds?|%)\\s*[\\])]$",
            Pattern.CASE_INSENSITIVE);
    private static final int TITLE_REACH = 2;

    /** {@code 12 oz lard}, {@code lard 12 oz}. */
    private static final Pattern AMOUNT_AT_AN_END =
            Pattern.compile("\\d.*\\p{L}.*|.*\\p{L}.*\\d\\s*[\\p{L}%]{0,7}\\.?");

    /** What is longer is no line of a recipe. */
    private static final int LONGEST_LINE = 80;

    public RecipeSheet {
        recipes = List.copyOf(recipes);
    }

    /** How recipes stand in a table. */
    public enum Layout {
        LINES,
        COLUMNS,
        BLOCKS,
        /** None that is known. */
        NONE
    }

    /**
     * What a column is.
     */
    public enum Part {
        RECIPE,
        INGREDIENT,
        AMOUNT,
        UNIT,
        SUPERFAT,
        /** The day on which it was made. */
        MADE,
        /** Into how many it was cut. */
        BARS,
        NOTE,
        NOTHING
    }

    /**
     * What a table tells of a batch that was made, as it stands there.
     *
     * @param day when; empty where it tells of none
     * @param bars into how many it was cut; may be empty
     * @param notes whatever else was written down
     */
    public record Making(String day, String bars, List<String> notes) {

        private static final Making NONE = new Making("", "", List.of());

        public Making {
            notes = List.copyOf(notes);
        }

        private static Making of(List<String> row, List<Part> parts) {
            String note = at(row, parts.indexOf(Part.NOTE));
            return new Making(
                    at(row, parts.indexOf(Part.MADE)),
                    at(row, parts.indexOf(Part.BARS)),
                    note.isEmpty() ? List.of() : List.of(note));
        }

        /** With what a further row of it tells. */
        private Making and(Making more) {
            List<String> all = new ArrayList<>(notes);
            all.addAll(more.notes);
            return new Making(
                    day.isEmpty() ? more.day : day,
                    bars.isEmpty() ? more.bars : bars,
                    all.stream().distinct().toList());
        }
    }

    /**
     * A recipe that was found.
     *
     * @param name of it
     * @param row where it begins, counted from 1
     * @param lines as they would stand in a notebook, by the row that they are from
     * @param making the batch that was made of it, where the table tells of one
     */
    public record Found(String name, int row, Map<Integer, List<String>> lines, Making making) {

        /** All that it says, one ingredient a line. */
        public String note() {
            return String.join(
                    "\n", lines.values().stream().flatMap(List::stream).toList());
        }

        public Found {
            lines = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(lines));
        }
    }

    /** What each column is, as its heading says it. */
    public static List<Part> parts(List<String> heading) {
        List<Part> parts = new ArrayList<>();
        for (String name : heading) {
            Matcher m = WITH_UNIT.matcher(name.strip());
            String meaning = SheetWords.meaning(m.matches() ? m.group(1) : name);
            parts.add(
                    switch (meaning) {
                        case "recipe" -> Part.RECIPE;
                        case "ingredient" -> Part.INGREDIENT;
                        case "amount" -> Part.AMOUNT;
                        case "unit" -> Part.UNIT;
                        case "superfat" -> Part.SUPERFAT;
                        case "date" -> Part.MADE;
                        case "bars" -> Part.BARS;
                        case "note" -> Part.NOTE;
                        default ->
                            m.matches() && SheetWords.meaning(m.group(1)).isEmpty() || meaning.matches("g|oz|kg|lb")
                                    ? Part.AMOUNT
                                    : Part.NOTHING;
                    });
        }
        // Two of one kind: the first is meant, as "oil" and "ingredient" side by side.
        for (Part part : List.of(Part.RECIPE, Part.INGREDIENT, Part.AMOUNT, Part.UNIT, Part.MADE, Part.BARS)) {
            int first = parts.indexOf(part);
            for (int i = first + 1; first >= 0 && i < parts.size(); i++) {
                if (parts.get(i) == part) {
                    parts.set(i, Part.NOTHING);
                }
            }
        }
        return parts;
    }

    /**
     * Number of the row that names the columns.
     *
     * @return -1 where none does
     */
    public static int heading(List<List<String>> rows, Catalogue catalogue) {
        for (int i = 0; i < Math.min(rows.size(), 20); i++) {
            List<Part> parts = parts(rows.get(i));
            boolean lines = parts.contains(Part.INGREDIENT) && parts.contains(Part.AMOUNT);
            boolean columns = parts.contains(Part.RECIPE)
                    && substances(rows.get(i), parts, catalogue).size() >= 2;
            if (lines || columns) {
                return i;
            }
        }
        return -1;
    }

    /**
     * Reads recipes.
     *
     * @param rows cells of each row, as text; a cell that is merged with those below or beside it stands in the first
     *     of them
     * @param said what columns are, where somebody said it; otherwise as {@link #parts} has it
     * @param units what a bare number means
     */
    public static RecipeSheet read(List<List<String>> rows, List<Part> said, Units units, Catalogue catalogue) {
        int heading = heading(rows, catalogue);
        if (heading < 0) {
            List<Found> blocks = blocks(rows, units, catalogue);
            return new RecipeSheet(blocks.isEmpty() ? Layout.NONE : Layout.BLOCKS, blocks);
        }
        List<Part> parts = said.isEmpty() ? parts(rows.get(heading)) : said;
        return parts.contains(Part.INGREDIENT) && parts.contains(Part.AMOUNT)
                ? new RecipeSheet(Layout.LINES, lines(rows, heading, parts))
                : new RecipeSheet(Layout.COLUMNS, columns(rows, heading, parts, catalogue));
    }

    private static String at(List<String> row, int column) {
        return column >= 0 && column < row.size() ? row.get(column).strip() : "";
    }

    private static String amount(String cell, String unit) {
        // Beside a name, a sign would be taken for a dash.
        String digits = NumberWords.digits(cell).replaceFirst("^[-\u2212]\\s*(?=[\\d.,])", "minus ");
        boolean hasUnit = digits.matches(".*[\\p{L}%]\\.?$");
        return hasUnit || unit.isBlank()
                ? digits
                : digits + " " + NumberWords.digits("1 " + unit).substring(2);
    }

    private static String unitOf(String heading) {
        Matcher m = WITH_UNIT.matcher(heading.strip());
        String alone = heading.strip().toLowerCase(Locale.ROOT);
        return m.matches() ? m.group(2) : alone.matches("g|kg|oz|lb") ? alone : "";
    }

    private static List<Found> lines(List<List<String>> rows, int heading, List<Part> parts) {
        int name = parts.indexOf(Part.RECIPE);
        int ingredient = parts.indexOf(Part.INGREDIENT);
        int amount = parts.indexOf(Part.AMOUNT);
        int unit = parts.indexOf(Part.UNIT);
        int superfat = parts.indexOf(Part.SUPERFAT);
        String unitOfAll = unitOf(at(rows.get(heading), amount));
        Map<String, Found> found = new LinkedHashMap<>();
        String now = "";
        String day = "";
        for (int i = heading + 1; i < Math.min(rows.size(), MOST_ROWS); i++) {
            List<String> row = rows.get(i);
            Making making = Making.of(row, parts);
            // Merged with the cells above, or left out as the same.
            if (!at(row, name).isEmpty() && !at(row, name).equals(now)) {
                now = at(row, name);
                day = making.day();
            }
            day = making.day().isEmpty() ? day : making.day();
            if (at(row, ingredient).isEmpty() && at(row, superfat).isEmpty()) {
                continue;
            }
            String called = now.isEmpty() ? "Recipe" : now;
            // The same made on another day is another batch.
            String key = called + "\u0000" + day;
            int at = i + 1;
            Found recipe = found.computeIfAbsent(key, n -> new Found(called, at, Map.of(), Making.NONE));
            Map<Integer, List<String>> all = new LinkedHashMap<>(recipe.lines());
            List<String> said = new ArrayList<>();
            if (!at(row, ingredient).isEmpty()) {
                String each = at(row, unit).isEmpty() ? unitOfAll : at(row, unit);
                said.add((SheetWords.meaning(at(row, ingredient)) + " " + amount(at(row, amount), each)).strip());
            }
            if (!at(row, superfat).isEmpty()) {
                said.add("superfat " + percent(at(row, superfat)));
            }
            all.put(at, said);
            found.put(key, new Found(called, recipe.row(), all, recipe.making().and(making)));
            if (found.size() >= MOST_RECIPES) {
                break;
            }
        }
        return List.copyOf(found.values());
    }

    /** A spreadsheet keeps five per cent as 0.05. */
    private static String percent(String cell) {
        String digits = NumberWords.digits(cell).replace("%", "").strip();
        return digits.matches("0[.,]\\d+") && !cell.contains("%")
                ? Double.parseDouble(digits.replace(',', '.')) * 100 + " %"
                : digits + " %";
    }

    private static Map<Integer, String> substances(List<String> heading, List<Part> parts, Catalogue catalogue) {
        Map<Integer, String> found = new LinkedHashMap<>();
        for (int c = 0; c < heading.size(); c++) {
            Matcher m = WITH_UNIT.matcher(heading.get(c).strip());
            String name = SheetWords.meaning(m.matches() ? m.group(1) : heading.get(c));
            if (parts.get(c) == Part.NOTHING && !name.isEmpty() && isSubstance(name, catalogue)) {
                found.put(c, name);
            }
        }
        return found;
    }

    private static boolean isSubstance(String name, Catalogue catalogue) {
        if (name.length() > LONGEST_LINE) {
            return false;
        }
        NotedLine read = RecipeNote.named(name, catalogue);
        return read.problem().isEmpty();
    }

    private static List<Found> columns(List<List<String>> rows, int heading, List<Part> parts, Catalogue catalogue) {
        List<String> names = rows.get(heading);
        Map<Integer, String> substances = substances(names, parts, catalogue);
        List<Found> found = new ArrayList<>();
        for (int i = heading + 1; i < Math.min(rows.size(), MOST_ROWS) && found.size() < MOST_RECIPES; i++) {
            List<String> row = rows.get(i);
            List<String> said = new ArrayList<>();
            substances.forEach((c, name) -> {
                String cell = at(row, c);
                if (!cell.isEmpty() && !cell.matches("-|0([.,]0+)?")) {
                    said.add(name + " " + amount(cell, unitOf(names.get(c))));
                }
            });
            String superfat = at(row, parts.indexOf(Part.SUPERFAT));
            if (!superfat.isEmpty()) {
                said.add("superfat " + percent(superfat));
            }
            String name = at(row, parts.indexOf(Part.RECIPE));
            if (!said.isEmpty()) {
                found.add(new Found(
                        name.isEmpty() ? "Recipe in row " + (i + 1) : name,
                        i + 1,
                        Map.of(i + 1, said),
                        Making.of(row, parts)));
            }
        }
        return found;
    }

    /** A cell alone in its row is a title where ingredients with amounts follow it. */
    private static List<Found> blocks(List<List<String>> rows, Units units, Catalogue catalogue) {
        List<Found> found = new ArrayList<>();
        String title = "";
        int begins = 0;
        Map<Integer, List<String>> lines = new LinkedHashMap<>();
        for (int i = 0; i < Math.min(rows.size(), MOST_ROWS) && found.size() < MOST_RECIPES; i++) {
            List<String> cells = rows.get(i).stream()
                    .map(String::strip)
                    .filter(c -> !c.isEmpty())
                    .toList();
            if (cells.size() == 1 && !isLine(cells, units, catalogue) && followed(rows, i, units, catalogue)) {
                close(found, title, begins, lines);
                title = cells.get(0);
                begins = i + 1;
                lines = new LinkedHashMap<>();
            } else if (!title.isEmpty() && cells.size() >= 1 && (cells.size() > 1 || isLine(cells, units, catalogue))) {
                lines.put(i + 1, List.of(line(cells)));
            }
        }
        close(found, title, begins, lines);
        return found;
    }

    private static void close(List<Found> found, String title, int begins, Map<Integer, List<String>> lines) {
        if (!title.isEmpty() && !lines.isEmpty()) {
            found.add(new Found(title, begins, lines, Making.NONE));
        }
    }

    /** Whichever stands first, the name or the amount. */
    private static String line(List<String> cells) {
        if (cells.size() == 1) {
            return cells.get(0);
        }
        boolean amountFirst = startsWithNumber(NumberWords.digits(cells.get(0)))
                && !startsWithNumber(NumberWords.digits(cells.get(1)));
        String name = SheetWords.meaning(cells.get(amountFirst ? 1 : 0));
        String unit = cells.size() > 2 && cells.get(2).matches("(?i)g|gr|gramm?s?|kg|oz|ounces?|unzen|lbs?|pounds?|%")
                ? cells.get(2)
                : "";
        return name.equals("superfat")
                ? name + " " + percent(cells.get(amountFirst ? 0 : 1))
                : name + " " + amount(cells.get(amountFirst ? 0 : 1), unit);
    }

    private static boolean startsWithNumber(String text) {
        return !text.isEmpty() && Character.isDigit(text.charAt(0));
    }

    private static boolean isLine(List<String> cells, Units units, Catalogue catalogue) {
        return cells.size() > 1 && startsWithNumber(NumberWords.digits(cells.get(1)))
                || cells.size() > 1 && startsWithNumber(NumberWords.digits(cells.get(0)))
                || cells.size() == 1
                        && cells.get(0).length() <= LONGEST_LINE
                        && AMOUNT_AT_AN_END.matcher(cells.get(0)).matches()
                        && RecipeNote.read(cells.get(0), units, catalogue).isUnderstood();
    }

    private static boolean followed(List<List<String>> rows, int title, Units units, Catalogue catalogue) {
        for (int i = title + 1; i <= Math.min(rows.size() - 1, title + TITLE_REACH); i++) {
            List<String> cells = rows.get(i).stream()
                    .map(String::strip)
                    .filter(c -> !c.isEmpty())
                    .toList();
            if (isLine(cells, units, catalogue)) {
                return true;
            }
        }
        return false;
    }
}
