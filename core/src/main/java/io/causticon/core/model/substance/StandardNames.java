package io.causticon.core.model.substance;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** What labels call substances (the INCI names of the European Union's glossary), where the tables know it. */
public final class StandardNames {

    public static final String WATER = "Aqua";
    public static final String GLYCEROL = "Glycerin";

    private static final String SODIUM = "Sodium ";
    private static final String POTASSIUM = "Potassium ";
    private static final List<Row> ROWS = Rows.read(
            "fats.csv",
            row -> new Row(
                    row.get("id"),
                    row.get("inci_saponified_NaOH").trim(),
                    row.get("inci_oil").trim()));
    private static final Map<String, Row> BY_ID =
            ROWS.stream().collect(Collectors.toUnmodifiableMap(Row::id, Function.identity()));

    private record Row(String id, String sodiumSoap, String oil) {}

    private StandardNames() {}

    /** Of a fat that was not saponified. */
    public static Optional<String> oil(String fat) {
        return Optional.ofNullable(BY_ID.get(fat)).map(Row::oil).filter(n -> !n.isBlank());
    }

    /** Of the soap that sodium hydroxide makes of it. */
    public static Optional<String> sodiumSoap(String fat) {
        return Optional.ofNullable(BY_ID.get(fat)).map(Row::sodiumSoap).filter(n -> n.startsWith(SODIUM));
    }

    /** Of the soap that potassium hydroxide makes of it. */
    public static Optional<String> potassiumSoap(String fat) {
        return sodiumSoap(fat).map(n -> n.replace(SODIUM, POTASSIUM));
    }
}
