package io.causticon.web.shared.words;

import io.causticon.core.model.log.Cooking;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Purpose;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.said.entry.EntryKinds;
import io.causticon.core.model.said.entry.Mark;
import io.causticon.core.model.said.entry.Names;
import io.causticon.web.shared.Formats;
import java.util.Locale;

/**
 * Says what an entry says, in the maker's units.
 *
 * @param mark the substance it is about, as the screens draw it: lye, fats, liquid, batter, core, room, hazard or plain
 * @param text the words
 */
public record EntryWords(String mark, String text) {

    public static EntryWords of(Entry entry, Names names, Formats formats) {
        return new EntryWords(lower(EntryKinds.mark(entry)), formats.phrase(EntryKinds.words(entry, names)));
    }

    public static String mark(Weighable what) {
        return lower(EntryKinds.mark(what));
    }

    /** What is said of a cook. */
    public static String cooking(Cooking what) {
        return EntryKinds.words(what);
    }

    public static String stage(Stage stage) {
        return EntryKinds.words(stage);
    }

    public static String spot(MeasurementPoint spot) {
        return lower(EntryKinds.mark(spot));
    }

    /** What a batch is for, behind what else is said of it; nothing for one that is to be used. */
    public static String purpose(Purpose purpose) {
        return switch (purpose) {
            case MADE -> "";
            case TRIAL -> ", a trial";
            case PRACTICE -> ", practice";
        };
    }

    private static String lower(Mark mark) {
        return mark.name().toLowerCase(Locale.ROOT);
    }
}
