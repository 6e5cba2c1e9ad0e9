package io.causticon.web.places.plan;

import io.causticon.core.model.substance.AcidShare;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.model.substance.Fat;
import io.causticon.core.model.substance.FattyAcid;
import io.causticon.core.model.substance.Likeness;
import io.causticon.core.model.substance.Liquid;
import io.causticon.core.quantity.Share;
import io.causticon.web.shared.Formats;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** What is said of fats, liquids and additives where they are chosen by typing. */
final class KnownChoices {

    private static final int ALIKE = 8;
    private static final int ACIDS = 3;

    /** Who is like whom takes a comparison of each with each; of the tables it is always the same. */
    private static final Map<String, Known> STANDARD =
            Catalogue.standard().fats().stream().collect(Collectors.toMap(Fat::id, f -> fat(f, Catalogue.standard())));

    private KnownChoices() {}

    /**
     * @param brings what it brings, in a line
     * @param also what else it answers to
     * @param like what is like it, the nearest first, as forms name it
     */
    record Known(String brings, String also, List<String> like) {}

    /** By kind: fats, liquids, additives. */
    static Map<String, Map<String, Known>> of(Catalogue catalogue) {
        return Map.of(
                "fats",
                        catalogue.fats().stream()
                                .collect(Collectors.toMap(
                                        Fat::id,
                                        f -> Optional.ofNullable(STANDARD.get(f.id()))
                                                .orElseGet(() -> fat(f, catalogue)))),
                "liquids", catalogue.liquids().stream().collect(Collectors.toMap(Liquid::id, KnownChoices::liquid)),
                "additives",
                        catalogue.additives().stream().collect(Collectors.toMap(Additive::id, KnownChoices::additive)));
    }

    private static Known fat(Fat fat, Catalogue catalogue) {
        String acids = fat.acids().stream()
                .sorted(Comparator.comparing((AcidShare a) -> a.share().fraction())
                        .reversed())
                .limit(ACIDS)
                .map(a -> name(a.acid()) + " " + Math.round(a.share().inPercent()))
                .collect(Collectors.joining(", "));
        String melts = fat.meltingRange() == null ? "" : " hard solid butter";
        return new Known(
                "saponification value " + Formats.number(fat.saponificationValue(), 0) + " \u00b7 " + acids + " %",
                (fat.animal() ? "animal" : "plant") + (fat.palm() ? " palm" : "") + melts + " "
                        + spoken(fat.kind().name()) + " " + acids,
                Likeness.nearest(fat, catalogue.fats(), ALIKE).stream()
                        .map(Fat::id)
                        .toList());
    }

    private static Known liquid(Liquid liquid) {
        List<String> brings = new ArrayList<>();
        brings.add(part(liquid.water(), "water"));
        add(brings, liquid.sugar(), "sugar");
        add(brings, liquid.protein(), "protein");
        add(brings, liquid.fat(), "fat");
        add(brings, liquid.acidity(), "acid");
        add(brings, liquid.salt(), "salt");
        add(brings, liquid.alcohol(), "alcohol");
        String scorches = liquid.scorching().isPositive() ? " scorches" : "";
        return new Known(
                String.join(", ", brings),
                String.join(" ", brings) + (liquid.animal() ? " animal" : " plant") + scorches,
                List.of());
    }

    private static void add(List<String> brings, Share share, String of) {
        if (share.isPositive()) {
            brings.add(part(share, of));
        }
    }

    private static String part(Share share, String of) {
        double percent = share.inPercent();
        return of + " " + Formats.number(percent, percent < 10 ? 1 : 0) + " %";
    }

    private static Known additive(Additive additive) {
        String usual = additive.usual() == null
                ? ""
                : ", usually " + grams(additive.usual().low()) + " to "
                        + grams(additive.usual().high()) + " g a kg of fats";
        String effects =
                additive.effects().stream().sorted().map(KnownChoices::spoken).collect(Collectors.joining(", "));
        return new Known(spoken(additive.kind()) + usual, spoken(additive.kind()) + " " + effects, List.of());
    }

    private static String grams(double grams) {
        return Formats.number(grams, grams < 10 && grams != Math.rint(grams) ? 1 : 0);
    }

    private static String name(FattyAcid acid) {
        return switch (acid) {
            case LONG_SATURATED_LUMP -> "long saturated";
            case LONG_UNSATURATED_LUMP -> "long unsaturated";
            case ALPHA_LINOLENIC, GAMMA_LINOLENIC -> "linolenic";
            default -> spoken(acid.name());
        };
    }

    private static String spoken(String name) {
        return name.toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
