package io.causticon.core.science.diagnosis;

import java.util.Arrays;
import java.util.List;

/**
 * A test of a bar as a maker does it: what it is worth, step by step, and what can come of it as lines of the log.
 * Steps say what the hand does; the safety data sheets of what is used, local rules and trained help come before them.
 */
public enum BarTest {
    /** On one's own hands, and nobody else's. */
    WASH(
            "Wash your own hands once",
            15,
            "What a bar is for. A calm hand says much, and only of this bar.",
            List.of(
                    "Your own hands, no cuts. Water running, nobody else's skin.",
                    "Twenty turns of the bar, ten seconds of lather, rinse well. Stop and rinse at the first sting.",
                    "Wait ten minutes. How does the skin feel?"),
            List.of(
                    new Answer("calm", "wash calm", false),
                    new Answer("dry or tight", "wash tight", false),
                    new Answer("burns", "wash burns", true)),
            List.of(),
            ""),

    /** After ISO 456. */
    TITRATE(
            "Titrate free alkali",
            30,
            "The one test that measures what is left over, and holds against doubt. It tells its own error.",
            List.of(
                    "Gloves and glasses. Shave about 5 g from the core, weigh it to a tenth.",
                    "Dissolve it in 50 g of warm neutral alcohol, away from flames; in hot distilled water soap"
                            + " colours a little by itself and reads high.",
                    "Two drops of phenolphthalein. No colour: nothing is left over, log 0.",
                    "Pink: add acid drop by drop, swirling, until the colour is gone for half a minute."),
            List.of(),
            List.of(
                    new Blank("used", "Acid used, ml of a standard solution or g of a citric one", "2.5"),
                    new Blank("strength", "Its strength: mol/l, or per cent by mass", "0.1"),
                    new Blank("soap", "Soap, in grams", "5")),
            "titrate {used} {acid} for {soap} g"),

    DROP(
            "A drop of phenolphthalein",
            2,
            "Quick, and coarse: pink is a reason to titrate, clear says little of what is not under the drop.",
            List.of(
                    "Gloves. Scrape a corner down to the inside; outside is carbonate.",
                    "One drop on the fresh place.",
                    "Look within ten seconds; later it fades or spreads.",
                    "Wipe it off and cut that corner away: the drop is not for skin."),
            List.of(
                    new Answer("stays clear", "phenolphthalein clear", false),
                    new Answer("turns pink", "phenolphthalein pink", true)),
            List.of(),
            ""),

    PEN(
            "A pen in a 1 % solution",
            20,
            "Worth something where the pen was calibrated today: soap alone reads 9 to 10.5.",
            List.of(
                    "Calibrate in buffers 7 and 10, today.",
                    "1 g of shavings from the core in 99 g of distilled water, warm, until it is all dissolved.",
                    "Let it cool to 25 C or 77 F: a warm solution reads otherwise.",
                    "Rinse the pen, read when it stands still."),
            List.of(),
            List.of(new Blank("ph", "pH", "9.8")),
            "pen {ph}"),

    STRIP(
            "A strip on the paste",
            2,
            "Worth little: it reads low and misses pockets. High is a reason to titrate, ordinary frees nothing.",
            List.of(
                    "Gloves. Wet a place, rub it to a paste.",
                    "Lay the strip in it for as long as its packet says.",
                    "Compare in daylight, against the packet's own scale."),
            List.of(),
            List.of(new Blank("ph", "pH", "9.5")),
            "ph {ph} strip"),

    TOUCH(
            "Press it with a thumb",
            1,
            "Tells how far it has set; nothing of alkali. Gloves until a test was calm.",
            List.of("Press a corner with the thumb, as hard as a doorbell."),
            List.of(
                    new Answer("firm", "touch firm", false),
                    new Answer("soft", "touch soft", false),
                    new Answer("sticky", "touch sticky", false)),
            List.of(),
            ""),

    NEEDLE(
            "A needle under a weight",
            3,
            "A number for hardness: the same needle, the same weight, the same ten seconds, and bars can be compared.",
            List.of(
                    "Stand the needle upright on a cut face, its weight on top.",
                    "Let it stand ten seconds.",
                    "Read how deep it went."),
            List.of(),
            List.of(new Blank("mm", "Depth in mm", "3.5")),
            "needle {mm} mm"),

    LATHER(
            "How it lathers",
            5,
            "For your own comparing: the same water, the same hands, beside a bar that you know.",
            List.of(
                    "Only with a bar that washed calm.",
                    "Wet hands and bar, ten turns, lay it away.",
                    "Rub ten times. How much foam stands in the hand?"),
            List.of(
                    new Answer("1 hardly", "lather 1", false),
                    new Answer("2 little", "lather 2", false),
                    new Answer("3 some", "lather 3", false),
                    new Answer("4 well", "lather 4", false),
                    new Answer("5 a handful", "lather 5", false)),
            List.of(),
            ""),

    WATER(
            "How hard the water is",
            3,
            "Lime takes the first of every lather and leaves curds. Compare bars in one water only, and write down"
                    + " which.",
            List.of(
                    "Fill a glass from the tap that is washed from.",
                    "Dip a hardness strip as its packet says, or count drops of a kit until the colour turns.",
                    "Read it in its own unit: mg/l, dH, fH or gpg."),
            List.of(),
            List.of(new Blank("hardness", "Hardness with its unit", "14 dH")),
            "water hardness {hardness}"),

    /** Last, where everything else is calm; nobody has to. */
    TONGUE(
            "A wetted fingertip to the tongue",
            2,
            "Old, quick, and never first: only when a wash or a titration was calm. Nobody has to.",
            List.of(
                    "Only when all else is calm. Never the bar itself.",
                    "Wet a fingertip, rub the bar, touch the tip of the tongue, rinse and spit."),
            List.of(new Answer("nothing", "no zap", false), new Answer("stings", "see zap", true)),
            List.of(),
            "");

    private final String title;
    private final int minutes;
    private final String worth;
    private final List<String> steps;
    private final List<Answer> answers;
    private final List<Blank> blanks;
    private final String line;

    BarTest(
            String title,
            int minutes,
            String worth,
            List<String> steps,
            List<Answer> answers,
            List<Blank> blanks,
            String line) {
        this.title = title;
        this.minutes = minutes;
        this.worth = worth;
        this.steps = steps;
        this.answers = answers;
        this.blanks = blanks;
        this.line = line;
    }

    /**
     * What can come of it at a tap.
     *
     * @param words on the button
     * @param line of the log that says so
     * @param isAlarming whether it speaks for a hazard
     */
    public record Answer(String words, String line, boolean isAlarming) {}

    /**
     * A number that comes of it.
     *
     * @param name of its field
     * @param words beside it
     * @param example of what is typed
     */
    public record Blank(String name, String words, String example) {}

    public String title() {
        return title;
    }

    /** How long it takes, with its waiting. */
    public int minutes() {
        return minutes;
    }

    /** What it is worth, in a sentence or two. */
    public String worth() {
        return worth;
    }

    public List<String> steps() {
        return steps;
    }

    public List<Answer> answers() {
        return answers;
    }

    public List<Blank> blanks() {
        return blanks;
    }

    /** The line of the log with the names of its blanks between braces; empty where an answer is the line. */
    public String line() {
        return line;
    }

    /** Whether skin or tongue meets the soap. */
    public boolean isOnSkin() {
        return this == WASH || this == TONGUE || this == LATHER;
    }

    /** By its name in small letters, as it stands in an address; the wash for any other word. */
    public static BarTest called(String name) {
        return Arrays.stream(values())
                .filter(t -> t.name().equalsIgnoreCase(name.trim()))
                .findFirst()
                .orElse(WASH);
    }
}
