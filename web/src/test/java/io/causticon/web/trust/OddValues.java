package io.causticon.web.trust;

import java.util.List;
import java.util.Random;

/** What nobody types, and what somebody does. */
final class OddValues {

    static final String SCRIPT =
            "<img src=x onerror=\"window.ran=1\"><script>window.ran=1</script>\"'><svg onload=window.ran=1>";

    private static final List<String> NUMBERS = List.of(
            "0",
            "-1",
            "1",
            "5",
            "33",
            "100",
            "504",
            "1e308",
            "-1e308",
            "1e-320",
            "NaN",
            "Infinity",
            "-0",
            "99999999999999999999",
            "-9223372036854775808",
            "0x10",
            "1,234.5",
            "1.234,5",
            "1,2,3",
            "..",
            "1..2",
            "+",
            "-",
            "\u22125",
            "\u0663\u0664",
            "\u00bd",
            "1/0",
            "1/3",
            "3 3/8 in",
            "5 %",
            "200 %",
            "1e5",
            "007");
    private static final List<String> QUANTITIES = List.of(
            "43.5",
            "110F",
            "-300 C",
            "1e9 C",
            "20 oz",
            "1 lb 2 oz",
            "0 g",
            "-5 g",
            "1e30 kg",
            "2 tsp",
            "1 tbsp per lb",
            "20 drops",
            "3 %",
            "1:2",
            "0:20 30:34",
            "9 oz 3",
            "5 lb lb",
            "\u00b0",
            "12 \u00b0X");
    private static final List<String> MOMENTS = List.of(
            "14:05",
            "25:99",
            "now",
            "5 min ago",
            "999999999999 d ago",
            "+35m",
            "+1e9d",
            "day 9",
            "day 99999999999999999999 10:00",
            "day -1",
            "2026-11-20 14:05",
            "0000-00-00",
            "9999-12-31 23:59",
            "-5 min",
            "2026-02-30");
    private static final List<String> LINES = List.of(
            "lye 43.5",
            "oil 110F",
            "light",
            "rice after lavender",
            "olive 504 g",
            "weigh zz 5 g",
            "again lye 20 g",
            "add lavender 30 g to madder lot 9",
            "ph 99 strip",
            "titrated 0.5 ml",
            "titrated 0.4",
            "see thick crust",
            "see zap",
            "no bloom",
            "portion 9/3",
            "portion 3/9",
            "clear",
            "lye in",
            "blend 99999",
            "pour",
            "cut 99999999999",
            "unmould",
            "wash burn",
            "bar 100 g",
            "scale the rest by 99",
            "gel full",
            "oven 9999",
            "day 9 see thick crust",
            "@9999-12-31 10:00 light",
            ";;;",
            "light;light;light",
            "note " + SCRIPT,
            "humidity -5",
            "take plain 40 g",
            "layer plain",
            "hemp riced");
    private static final List<String> WORDS = List.of(
            "",
            " ",
            "FAT",
            "ALKALI",
            "naoh",
            "koh",
            "zz",
            "olive-oil",
            "own-",
            "lye",
            "weigh",
            "ready",
            "{x}",
            "${7*7}",
            "__${T(java.lang.Runtime).getRuntime()}__",
            "%",
            "%zz",
            "\u0000",
            "a\r\nSet-Cookie: a=b",
            "\r\n\r\n",
            "../../etc/passwd",
            "' or 1=1 --",
            "\\",
            "\ud800",
            "\u202eabc",
            "e\u0301\u0301\u0301",
            "\ud83e\uddfc\ud83e\uddfc",
            SCRIPT,
            "true",
            "null",
            "[]",
            "{}",
            "TAKEN",
            "OWNER",
            "VIEWER",
            "GRAM",
            "CELSIUS",
            "MOULD",
            "WEIGHTS",
            "LYE_CONCENTRATION",
            "WATER_TO_LYE",
            "LAYERS",
            "SHARES",
            "CUPS",
            "SEEN",
            "mould",
            "vessel",
            "lot",
            "fragrance",
            "wooden loaf",
            "UTC",
            "Mars/Base",
            "EUR",
            "XTS",
            "lye-heavy",
            "THERMOMETER",
            "SCALE");

    private OddValues() {}

    static String any(Random random) {
        return switch (random.nextInt(12)) {
            case 0, 1 -> pick(NUMBERS, random);
            case 2, 3 -> pick(QUANTITIES, random);
            case 4 -> pick(MOMENTS, random);
            case 5, 6 -> pick(LINES, random);
            case 7 -> long_(random);
            case 8 -> pick(WORDS, random) + pick(NUMBERS, random);
            default -> pick(WORDS, random);
        };
    }

    /** As long as it takes to be too long somewhere, and what makes patterns go back and forth. */
    private static String long_(Random random) {
        int length =
                List.of(41, 61, 81, 100, 401, 501, 2001, 4001, 65_537, 200_000).get(random.nextInt(10));
        String unit = List.of(
                        "a",
                        " ",
                        "1",
                        "1 ",
                        ",",
                        ";",
                        ":",
                        "-",
                        "\u00e4",
                        "\ud83e\uddfc",
                        "1,",
                        "( ",
                        "in ",
                        "light;",
                        "@")
                .get(random.nextInt(15));
        return unit.repeat(length / unit.length() + 1).substring(0, length);
    }

    static String pick(List<String> values, Random random) {
        return values.get(random.nextInt(values.size()));
    }
}
