package io.causticon.core.model.said.entry;

import static java.util.Map.entry;

import io.causticon.core.model.log.Cooking;
import io.causticon.core.model.log.Entry;
import io.causticon.core.wording.Phrase;
import java.util.List;
import java.util.Map;

/** What is done to a pot that is cooked, and what its paste looks like. */
final class CookKinds {

    private static final Map<String, Cooking> SAID = Map.ofEntries(
            entry("on", Cooking.HEAT_ON),
            entry("begins", Cooking.HEAT_ON),
            entry("sets", Cooking.SETS),
            entry("set", Cooking.SETS),
            entry("rises", Cooking.RISES),
            entry("rising", Cooking.RISES),
            entry("grainy", Cooking.GRAINY),
            entry("mashed", Cooking.GRAINY),
            entry("waxy", Cooking.WAXY),
            entry("clear", Cooking.CLEAR),
            entry("translucent", Cooking.CLEAR),
            entry("lumpy", Cooking.LUMPY),
            entry("lumps", Cooking.LUMPY),
            entry("even", Cooking.EVEN),
            entry("smooth", Cooking.EVEN),
            entry("stirred", Cooking.STIRRED),
            entry("stir", Cooking.STIRRED),
            entry("off", Cooking.HEAT_OFF));

    private static final EntryKind<Entry.Cooked> COOKED = EntryKind.of(
                    Entry.Cooked.class, "cooked", Authority.PROGRAM, EntryCheck.NOTHING_MORE)
            .tells(Tells.POTS)
            .marked(Mark.BATTER)
            .words((c, n) -> Phrase.of(said(c.what())))
            .typed((c, pen) -> "cook " + written(c.what()))
            .phrase(
                    "(?:cook|paste|mash|heat)\\s+" + Patterns.oneOf(SAID),
                    (m, c) -> new Entry.Cooked(Patterns.meant(SAID, m.group(1))))
            .event((c, n) -> Phrase.of(said(c.what())));

    static final List<EntryKind<?>> ALL = List.of(COOKED);

    private CookKinds() {}

    static String said(Cooking what) {
        return switch (what) {
            case HEAT_ON -> "heat on under the pot";
            case SETS -> "paste sets";
            case RISES -> "paste rises";
            case GRAINY -> "paste is grainy";
            case WAXY -> "paste is waxy";
            case CLEAR -> "paste is clear all through";
            case LUMPY -> "mash is lumpy";
            case EVEN -> "mash is even";
            case STIRRED -> "pot stirred";
            case HEAT_OFF -> "heat off";
        };
    }

    private static String written(Cooking what) {
        return switch (what) {
            case HEAT_ON -> "on";
            case HEAT_OFF -> "off";
            default -> Pen.lower(what);
        };
    }
}
