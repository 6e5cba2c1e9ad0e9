package io.causticon.core.diagnosis;

import static io.causticon.core.diagnosis.Finding.Group.FEEL;
import static io.causticon.core.diagnosis.Finding.Group.INSIDE;
import static io.causticon.core.diagnosis.Finding.Group.MOULD;
import static io.causticon.core.diagnosis.Finding.Group.POT;
import static io.causticon.core.diagnosis.Finding.Group.SKIN;
import static io.causticon.core.diagnosis.Finding.Group.SURFACE;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** The names of all findings that the knowledge speaks of. */
public final class Findings {

    public static final Finding THIN_BLOOM = Finding.of(
                    "thin-bloom", SURFACE, "thin pale bloom", "no bloom", "Hold a face open to air against the light.", 1, 1)
            .called("bloom", "ash", "thin bloom", "white film");
    public static final Finding THICK_CRUST = Finding.of(
                    "thick-crust", SURFACE, "pale crust, thick", "no thick crust", "Scrape a corner with a nail: how deep?", 1, 1)
            .called("crust", "thick crust", "pale crust");
    public static final Finding CRUST_GROWS = Finding.of(
                    "crust-grows",
                    SURFACE,
                    "crust grows week by week",
                    "crust does not grow",
                    "Wipe one bar clean and look again in a week.",
                    2,
                    7)
            .called("crust grows", "growing crust", "crust growing");
    public static final Finding CRUST_RESISTS = Finding.of(
                    "crust-resists",
                    SURFACE,
                    "water and steam do not take it off",
                    "steam takes it off",
                    "Hold a corner over steam, then wipe.",
                    5,
                    1)
            .called("resists steam", "resists water", "steam does not help", "stays after steam");
    public static final Finding CRUST_UNDER_COVER = Finding.of(
                    "crust-under-cover",
                    SURFACE,
                    "crust also where no air was",
                    "clean where no air was",
                    "Look under the film or on the side that lay against the mould.",
                    2,
                    1)
            .called("crust under film", "crust under cover");
    public static final Finding WASH_BURNS = Finding.of(
                    "wash-burns",
                    SKIN,
                    "hands burn after a wash",
                    "calm wash",
                    "Wash your own hands once, rinse well, wait ten minutes. Stop and rinse at the first sting.",
                    15,
                    2)
            .called("burning wash", "burns");
    public static final Finding SKIN_TIGHT = Finding.of(
                    "skin-tight",
                    SKIN,
                    "skin dry and tight after a wash",
                    "skin not tight",
                    "Wash your own hands once and wait ten minutes.",
                    15,
                    2)
            .called("tight skin", "dry skin");
    public static final Finding ZAP = Finding.of(
                    "zap",
                    SKIN,
                    "a wetted fingertip stings on the tongue",
                    "no sting",
                    "Only when all else is calm: a wetted fingertip from the bar to the tip of the tongue, then rinse.",
                    2,
                    2)
            .called("zap", "zaps", "sting", "stings");
    public static final Finding FREE_ALKALI = Finding.of(
                    "free-alkali",
                    SKIN,
                    "free alkali by titration, 0.1 % or more",
                    "no free alkali by titration",
                    "Titrate a gram of shavings from the core with citric acid and indicator.",
                    10,
                    1)
            .called("free alkali");
    public static final Finding STRIP_HIGH = Finding.of(
                    "strip-high", SKIN, "strip reads 11 or more", "strip reads ordinary", "Strip on a wet paste.", 2, 1)
            .neverClears();
    public static final Finding METER_HIGH = Finding.of(
            "meter-high",
            SKIN,
            "1 % solution above pH 10.4",
            "1 % solution at an ordinary pH",
            "Dissolve a gram of shavings in 99 g of distilled water and read with a pen.",
            20,
            1);
    public static final Finding WHITE_SPOTS = Finding.of(
                    "white-spots",
                    INSIDE,
                    "white or clear hard spots inside",
                    "clean inside",
                    "Cut three bars from different places and look at the fresh faces.",
                    5,
                    1)
            .called("spots", "white spots", "spots inside");
    public static final Finding WEEPING_DOTS = Finding.of(
                    "weeping-dots",
                    INSIDE,
                    "wet dots that weep",
                    "no wet dots",
                    "Leave a fresh cut face for an hour under a glass. Gloves.",
                    60,
                    0.5)
            .called("weeping", "wet dots");
    public static final Finding TUNNELS = Finding.of(
                    "tunnels", INSIDE, "tunnels or foam inside", "solid inside", "Cut a bar from the middle.", 3, 0.5)
            .called("tunnels", "foam");
    public static final Finding DARK_CORE = Finding.of(
                    "dark-core",
                    INSIDE,
                    "dark disc in a pale rim",
                    "one colour through",
                    "Cut a bar from the middle; look again after three days.",
                    3,
                    0.5)
            .called("dark core", "dark disc", "dark middle");
    public static final Finding BRITTLE = Finding.of(
                    "brittle", FEEL, "chips or shatters at the cut", "cuts clean", "Cut one bar slowly.", 3, 0.3)
            .called("brittle", "crumbly", "crumbles");
    public static final Finding DENTS = Finding.of(
                    "dents", FEEL, "dents under a thumb", "firm under a thumb", "Press a corner.", 1, 1)
            .called("dents", "soft bar");
    public static final Finding TACKY = Finding.of(
                    "tacky", FEEL, "tacky to the touch", "dry to the touch", "Lay a dry palm on it.", 1, 1)
            .called("tacky", "sticky");
    public static final Finding CLINGS = Finding.of(
                    "clings", FEEL, "tears or clings at unmoulding", "left the mould clean", "Unmould one end.", 5, 0.5)
            .called("clings", "tears");
    public static final Finding LIQUOR_ORANGE = Finding.of(
                    "liquor-orange", POT, "lye liquor orange or brown", "liquor stayed pale", "Look into the pot.", 1, 0)
            .called("orange", "brown liquor", "orange liquor");
    public static final Finding BURNT_SMELL = Finding.of(
                    "burnt-smell", POT, "smells burnt or of ammonia", "no burnt smell", "Smell from arm's length.", 1, 0)
            .called("burnt smell", "ammonia");
    public static final Finding CURDS = Finding.of(
                    "curds", POT, "curds in the liquor", "smooth liquor", "Strain the liquor.", 2, 0)
            .called("curds");
    public static final Finding SOLID_AT_ONCE = Finding.of(
                    "solid-at-once", POT, "solid in the pot within a minute or two", "stayed fluid", "Stir.", 1, 0)
            .called("solid", "seized");
    public static final Finding HOT_MASH = Finding.of(
                    "hot-mash", POT, "hot curdled mash", "smooth batter", "Read the batter's temperature.", 1, 0)
            .called("hot mash");
    public static final Finding OIL_LAYER = Finding.of(
                    "oil-layer",
                    MOULD,
                    "oil or liquor stands on top",
                    "nothing stands on top",
                    "Look across the top. Gloves: liquor burns.",
                    1,
                    0.05)
            .called("oil layer", "oil on top", "liquor on top");
    public static final Finding SOFT_BELOW = Finding.of(
                    "soft-below", MOULD, "soft below a hard skin", "firm all through", "Push a skewer to the bottom.", 2, 0.5)
            .called("soft below");
    public static final Finding CRACK = Finding.of(
                    "crack", MOULD, "crack along the top", "no crack on top", "Look along the top.", 1, 0.05)
            .called("crack", "cracked top");
    public static final Finding HEAVED = Finding.of(
                    "heaved", MOULD, "dome or heave", "flat top", "Look along the top.", 1, 0.05)
            .called("dome", "heave", "heaved");
    public static final Finding PUDDLES = Finding.of(
                    "puddles", MOULD, "oily or glassy puddles", "dry top", "Look across the top. Gloves.", 1, 0.05)
            .called("puddles", "oily puddles");
    public static final Finding WRINKLED = Finding.of(
                    "wrinkled", MOULD, "wrinkled top", "smooth top", "Look across the top.", 1, 0.1)
            .called("wrinkled", "wrinkles");
    public static final Finding GEL_HALFWAY = Finding.of(
                    "gel-halfway", MOULD, "gel stopped half-way", "gel did not stop half-way", "Look through the top.", 1, 0.05)
            .called("partial gel", "half gel");
    public static final Finding PALE_EDGE = Finding.of(
                    "pale-edge", SURFACE, "matte, pale edge", "even surface", "Look at the rim of a cut face.", 1, 0.5)
            .called("pale edge", "pale rim", "matte edge");

    public static final List<Finding> ALL = List.of(
            THIN_BLOOM, THICK_CRUST, CRUST_GROWS, CRUST_RESISTS, CRUST_UNDER_COVER, PALE_EDGE, WASH_BURNS, SKIN_TIGHT, ZAP,
            FREE_ALKALI, STRIP_HIGH, METER_HIGH, WHITE_SPOTS, WEEPING_DOTS, TUNNELS, DARK_CORE, BRITTLE, DENTS, TACKY, CLINGS,
            LIQUOR_ORANGE, BURNT_SMELL, CURDS, SOLID_AT_ONCE, HOT_MASH, OIL_LAYER, SOFT_BELOW, CRACK, HEAVED, PUDDLES, WRINKLED,
            GEL_HALFWAY);

    private Findings() {}

    public static Optional<Finding> find(String id) {
        return ALL.stream().filter(f -> f.id().equals(id)).findFirst();
    }

    /** Words of the quick line with the finding each means. */
    public static Map<String, String> vocabulary() {
        Map<String, String> words = new TreeMap<>();
        for (Finding finding : ALL) {
            finding.said().forEach(word -> words.put(word, finding.id()));
        }
        return words;
    }
}
