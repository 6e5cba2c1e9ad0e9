package io.causticon.web.store.shelf;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.model.plan.Vessel;
import io.causticon.core.model.plan.VesselMaterial;
import io.causticon.core.model.said.entry.EntryCheck;
import io.causticon.core.model.said.notation.LengthNotation;
import io.causticon.core.model.said.notation.MassNotation;
import io.causticon.core.model.said.notation.NumberNotation;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Reads what is typed on the shelf. Tells everything that is wrong with it at once. */
public final class ShelfForm {

    private static final int LONGEST_NAME = 60;
    private static final int LONGEST_LABEL = 40;
    private static final int LONGEST_NOTE = 500;
    private static final double LONGEST_SIDE = 2000;
    private static final int MOST_CAVITIES = 500;
    private static final double MOST_WATER = 100_000;
    private static final double LEAST_FILLED = 5;
    /** mg KOH per g. */
    static final Interval SAPONIFICATION = Interval.between(60, 400);

    /** g iodine per 100 g. */
    static final Interval IODINE = Interval.between(0, 250);

    /** g per kg of fats. */
    static final Interval CAP = Interval.between(0.1, 150);

    /** Per cent of a soap that somebody made. */
    private static final Interval SUPERFAT = Interval.between(-20, 40);

    /** Makers leave 3 to 8 % (a judgement); what came from elsewhere may be anything. */
    private static final Estimate SUPERFAT_OF_UNKNOWN = new Estimate(0.05, 0.02);

    /** Of one that was told: nobody has its log (a judgement). */
    private static final double SUPERFAT_AS_SAID = 0.015;

    private static final int LONGEST_ALLERGENS = 400;
    private static final double MOST_PRICE = 100_000;
    static final Mass HEAVIEST_VESSEL = Mass.grams(20_000);

    private final Map<String, String> typed;
    private final Units units;
    private final Problems problems = new Problems();

    public ShelfForm(Map<String, String> typed, Units units) {
        this.typed = typed;
        this.units = units;
    }

    /** The name as it was typed. */
    public String name() {
        return text("name");
    }

    public Mould mould() {
        String name = name(LONGEST_NAME);
        MouldKind kind = choice("kind", MouldKind.class);
        int many = kind == MouldKind.CAVITIES ? (int) number("cavities", 1, MOST_CAVITIES) : 1;
        boolean ruled = !(text("length") + text("width") + text("height")).isEmpty();
        Double held =
                typed.containsKey("batter") && !text("batter").isEmpty() ? Double.valueOf(waterOfBatch(many)) : water();
        if (!ruled && held != null) {
            problems.throwIfAny();
            return Mould.ofWater(name, kind, many, held);
        }
        boolean round = kind == MouldKind.TUBE;
        double width = length("width");
        double length = round ? width : length("length");
        double height = length("height");
        if (kind == MouldKind.CUSTOM && held == null) {
            problems.add("water", ProblemKey.MISSING);
        }
        problems.throwIfAny();
        return new Mould(name, kind, length, width, height, many, held);
    }

    /** Soap of no batch here. */
    public record OwnScrap(String name, String colour, Mass mass, String mainFat, Estimate superfat) {}

    public OwnScrap scrap(Pantry pantry) {
        String name = name(LONGEST_NAME);
        String colour = text("colour").isEmpty() ? "mixed" : text("colour");
        if (colour.length() > EntryCheck.LONGEST_COLOUR) {
            problems.add("colour", ProblemKey.TOO_LONG, colour.length(), EntryCheck.LONGEST_COLOUR);
        }
        Mass mass = problems.take(() -> MassNotation.read("mass", text("mass"), units), Mass.grams(1));
        if (!mass.isPositive() || mass.isMoreThan(EntryCheck.HEAVIEST)) {
            problems.add(
                    "mass",
                    mass.isPositive() ? ProblemKey.TOO_HIGH : ProblemKey.TOO_LOW,
                    "A mass",
                    mass,
                    mass.isPositive() ? EntryCheck.HEAVIEST : Mass.ZERO);
        }
        String fat = text("mainFat");
        if (pantry.catalogue().findFat(fat).isEmpty()) {
            problems.add("mainFat", fat.isEmpty() ? ProblemKey.MISSING : ProblemKey.NOT_A_CHOICE, fat);
        }
        Estimate superfat = SUPERFAT_OF_UNKNOWN;
        if (!text("superfat").isEmpty()) {
            Share said = problems.take(() -> NumberNotation.percent("superfat", text("superfat")), Share.percent(5));
            if (!SUPERFAT.contains(said.inPercent())) {
                boolean low = said.inPercent() < SUPERFAT.low();
                problems.add(
                        "superfat",
                        low ? ProblemKey.TOO_LOW : ProblemKey.TOO_HIGH,
                        "The superfat",
                        said,
                        Share.percent(low ? SUPERFAT.low() : SUPERFAT.high()));
            }
            superfat = new Estimate(said.fraction(), SUPERFAT_AS_SAID);
        }
        problems.throwIfAny();
        return new OwnScrap(name, colour, mass, fat, superfat);
    }

    /** In ml; what is typed as a mass is the mass of the water. Null where nothing is typed. */
    private @Nullable Double water() {
        String text =
                text("water").toLowerCase(Locale.ROOT).replaceAll("ml$", "").strip();
        if (text.isEmpty()) {
            return null;
        }
        double millilitres = text.chars().anyMatch(Character::isLetter)
                ? problems.take(() -> MassNotation.read("water", text, units), Mass.grams(1))
                        .grams()
                : problems.take(() -> NumberNotation.read("water", text), 1.0);
        within("water", millilitres, 1, MOST_WATER);
        return millilitres;
    }

    /** What one of them holds, ml, by a batch that filled all of them to a part. */
    private double waterOfBatch(int many) {
        Mass batter = problems.take(() -> MassNotation.read("batter", text("batter"), units), Mass.grams(1));
        double filled =
                problems.take(() -> NumberNotation.read("filled", text("filled").replace("%", "")), 100.0);
        within("filled", filled, LEAST_FILLED, 100);
        if (filled < LEAST_FILLED) {
            return 1;
        }
        double one = batter.grams() / Mould.BATTER_DENSITY / (filled / 100) / many;
        within("batter", one, 1, MOST_WATER);
        return one;
    }

    public Vessel vessel() {
        String name = name(LONGEST_NAME);
        Mass mass = problems.take(() -> MassNotation.read("mass", text("mass"), units), Mass.ZERO);
        if (mass.grams() < 0) {
            problems.add("mass", ProblemKey.TOO_LOW, "A vessel", mass, Mass.ZERO);
        } else if (mass.isMoreThan(HEAVIEST_VESSEL)) {
            problems.add("mass", ProblemKey.TOO_HIGH, "A vessel", mass, HEAVIEST_VESSEL);
        }
        VesselMaterial material = choice("material", VesselMaterial.class);
        problems.throwIfAny();
        return new Vessel(name, material, mass);
    }

    /** A fat of the workshop's own. */
    public record OwnFat(String name, String likeId, double saponification, double iodine, boolean animal) {}

    public OwnFat fat(Pantry pantry) {
        String name = name(LONGEST_NAME);
        String like = text("like");
        if (pantry.catalogue().findFat(like).isEmpty()) {
            problems.add("like", like.isEmpty() ? ProblemKey.MISSING : ProblemKey.UNKNOWN_SUBSTANCE, like);
        }
        double saponification = number("saponification", SAPONIFICATION.low(), SAPONIFICATION.high());
        double iodine = number("iodine", IODINE.low(), IODINE.high());
        problems.throwIfAny();
        return new OwnFat(name, like, saponification, iodine, typed.containsKey("animal"));
    }

    public FragranceSheet fragrance(List<String> behaviour) {
        String name = name(LONGEST_NAME);
        Double percent = optional("cap", CAP.low() / 10, CAP.high() / 10);
        String note = text("note");
        if (note.length() > LONGEST_NOTE) {
            problems.add("note", ProblemKey.TOO_LONG, note.length(), LONGEST_NOTE);
        }
        List<String> allergens = Arrays.stream(
                        text("allergens").toLowerCase(Locale.ROOT).split("[,;]"))
                .map(String::strip)
                .filter(w -> !w.isEmpty())
                .toList();
        int length = String.join(FragranceSheet.SEPARATOR, allergens).length();
        if (length > LONGEST_ALLERGENS) {
            problems.add("allergens", ProblemKey.TOO_LONG, length, LONGEST_ALLERGENS);
        }
        problems.throwIfAny();
        return new FragranceSheet(name, percent == null ? null : percent * 10, behaviour, allergens, note);
    }

    public Lot lot(Pantry pantry) {
        String label = name(LONGEST_LABEL);
        String[] what = text("substance").split("/", 2);
        LotKind kind = LotKind.FAT;
        String substance = what.length == 2 ? what[1] : "";
        if (what.length == 2 && isKnown(what[0], substance, pantry)) {
            kind = LotKind.valueOf(what[0]);
        } else {
            problems.add("substance", ProblemKey.MISSING);
        }
        Double saponification = optional("saponification", SAPONIFICATION.low(), SAPONIFICATION.high());
        if (saponification != null && kind != LotKind.FAT) {
            problems.add("saponification", ProblemKey.NOT_A_CHOICE, text("saponification"));
        }
        Double price = optional("price", 0, MOST_PRICE);
        LocalDate useBy = date("useBy");
        problems.throwIfAny();
        BigDecimal perKilogram =
                price == null ? null : BigDecimal.valueOf(price).setScale(2, RoundingMode.HALF_UP);
        return new Lot(UUID.randomUUID(), kind, substance, label, saponification, perKilogram, useBy);
    }

    private static boolean isKnown(String kind, String substance, Pantry pantry) {
        return switch (kind) {
            case "FAT" -> pantry.catalogue().findFat(substance).isPresent();
            case "ADDITIVE" -> pantry.catalogue().findAdditive(substance).isPresent();
            case "LIQUID" -> pantry.catalogue().findLiquid(substance).isPresent();
            case "ALKALI" -> substance.equals("naoh") || substance.equals("koh");
            default -> false;
        };
    }

    private @Nullable LocalDate date(String field) {
        if (text(field).isEmpty()) {
            return null;
        }
        try {
            return LocalDate.parse(text(field));
        } catch (DateTimeParseException e) {
            problems.add(field, ProblemKey.NOT_A_TIME, text(field));
            return null;
        }
    }

    private String name(int longest) {
        String name = text("name");
        if (name.isEmpty()) {
            problems.add("name", ProblemKey.MISSING);
        } else if (name.length() > longest) {
            problems.add("name", ProblemKey.TOO_LONG, name.length(), longest);
        } else if (name.contains("@") || name.codePoints().noneMatch(Character::isLetterOrDigit)) {
            problems.add("name", ProblemKey.NOT_A_CHOICE, name);
        }
        return name;
    }

    private double length(String field) {
        double length = problems.take(() -> LengthNotation.readMillimetres(field, text(field)), 1.0);
        if (length <= 0) {
            problems.add(field, ProblemKey.TOO_LOW, "A side in mm", length, 0.0);
        } else if (length > LONGEST_SIDE) {
            problems.add(field, ProblemKey.TOO_HIGH, "A side in mm", length, LONGEST_SIDE);
        }
        return length;
    }

    private double number(String field, double least, double most) {
        double number = problems.take(() -> NumberNotation.read(field, text(field)), least);
        within(field, number, least, most);
        return number;
    }

    private void within(String field, double number, double least, double most) {
        if (number < least) {
            problems.add(field, ProblemKey.TOO_LOW, field, number, least);
        } else if (number > most) {
            problems.add(field, ProblemKey.TOO_HIGH, field, number, most);
        }
    }

    private @Nullable Double optional(String field, double least, double most) {
        return text(field).isEmpty() ? null : number(field, least, most);
    }

    private <E extends Enum<E>> E choice(String field, Class<E> type) {
        try {
            return Enum.valueOf(type, text(field));
        } catch (IllegalArgumentException e) {
            problems.add(field, ProblemKey.NOT_A_CHOICE, text(field));
            return type.getEnumConstants()[0];
        }
    }

    private String text(String field) {
        return typed.getOrDefault(field, "").trim();
    }
}
