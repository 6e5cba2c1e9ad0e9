package io.causticon.web.batch;

import io.causticon.core.diagnosis.Findings;
import io.causticon.core.observation.Entry;
import io.causticon.core.observation.Keeping;
import io.causticon.core.observation.PhMethod;
import io.causticon.core.observation.Presence;
import io.causticon.core.observation.Spot;
import io.causticon.core.observation.Stage;
import io.causticon.core.observation.Surroundings;
import io.causticon.core.observation.Weighable;
import io.causticon.core.quantity.Mass;
import io.causticon.core.substance.Catalogue;
import io.causticon.web.shared.Formats;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * Says what an entry says, in the maker's words and units.
 *
 * @param mark the substance it is about, as the screens draw it: lye, fats, liquid, batter, core, room, or plain
 * @param text the words
 */
public record EntryWords(String mark, String text) {

    private static final String PLAIN = "plain";
    private static final int LONGEST_SHOWN = 160;

    public static EntryWords of(Entry entry, Formats formats) {
        if (entry instanceof Entry.Weighed w) {
            return weighed(w, formats);
        } else if (entry instanceof Entry.TemperatureRead t) {
            return new EntryWords(spot(t.spot()), spot(t.spot()) + " " + formats.temperature(t.temperature()));
        } else if (entry instanceof Entry.StageReached s) {
            String after = s.after() == null ? "" : " after " + s.after();
            return new EntryWords("batter", stage(s.stage()) + after);
        } else if (entry instanceof Entry.WeighedAgain w) {
            return new EntryWords(mark(w.what()), name(w.what()) + " weighed again: " + formats.mass(w.mass()));
        } else if (entry instanceof Entry.ReadyForLye r) {
            return plain(r.checks().isEmpty() ? "ready for lye" : "ready for lye: " + String.join(", ", r.checks()));
        } else if (entry instanceof Entry.RestScaled s) {
            return plain("the rest scaled by " + Formats.number(s.factor(), 3));
        } else if (entry instanceof Entry.PortionFed p) {
            return new EntryWords("lye", "portion " + p.portion() + " of " + p.of() + " in");
        } else if (entry instanceof Entry.LyeClear) {
            return new EntryWords("lye", "lye clear, strained");
        } else if (entry instanceof Entry.Bathed b) {
            return new EntryWords(spot(b.pot()), spot(b.pot()) + bath(b.into()));
        } else if (entry instanceof Entry.LyeIntoFats) {
            return new EntryWords("lye", "lye into the fats");
        } else if (entry instanceof Entry.BlenderBurst b) {
            return new EntryWords("batter", "blender " + b.seconds() + " s");
        } else if (entry instanceof Entry.Added a) {
            return plain(a.what() + mass(a.mass(), formats) + " added" + (a.portion() == null ? "" : " to " + a.portion())
                    + (a.lot() == null ? "" : ", lot " + a.lot()));
        } else if (entry instanceof Entry.Poured p) {
            return new EntryWords(
                    "batter", "poured" + (p.batter() == null ? "" : " at " + formats.temperature(p.batter())));
        } else if (entry instanceof Entry.PortionTaken t) {
            return new EntryWords("batter", "portion " + t.portion() + mass(t.mass(), formats) + " taken");
        } else if (entry instanceof Entry.LayerPoured l) {
            return new EntryWords("batter", l.portion() + mass(l.mass(), formats) + " into the mould");
        } else if (entry instanceof Entry.AirTapped) {
            return plain("air tapped out");
        } else if (entry instanceof Entry.MixedWith m) {
            return plain("mixed with: " + lower(m.method()).replace('_', ' '));
        } else if (entry instanceof Entry.HumidityRead h) {
            return new EntryWords("room", "humidity " + Formats.number(h.percent(), 0) + " %");
        } else if (entry instanceof Entry.Behaved b) {
            return plain(b.what() + " " + lower(b.how()));
        } else if (entry instanceof Entry.Kept k) {
            return plain(keeping(k.keeping())
                    + (k.temperature() == null ? "" : " at " + formats.temperature(k.temperature())));
        } else if (entry instanceof Entry.GelSeen g) {
            return new EntryWords("core", "gel seen: " + lower(g.extent()));
        }
        return laterLife(entry, formats);
    }

    private static EntryWords laterLife(Entry entry, Formats formats) {
        if (entry instanceof Entry.Unmoulded) {
            return plain("unmoulded");
        } else if (entry instanceof Entry.Cut c) {
            return plain(c.bars() == 1 ? "cut" : "cut into " + c.bars() + " bars");
        } else if (entry instanceof Entry.PhRead ph) {
            String value = Formats.number(ph.ph(), ph.ph() == Math.rint(ph.ph()) ? 0 : 1);
            return plain(ph.method() == PhMethod.STRIP ? "strip on paste: " + value : "1 % solution, pen: pH " + value);
        } else if (entry instanceof Entry.WashTested w) {
            return plain("wash test: " + lower(w.feel()));
        } else if (entry instanceof Entry.TouchTested t) {
            return plain("touch: " + lower(t.feel()));
        } else if (entry instanceof Entry.BarWeighed b) {
            return plain("bar " + formats.mass(b.mass()));
        } else if (entry instanceof Entry.Titrated t) {
            return plain("titrated: free alkali " + Formats.number(t.freeAlkaliPercent(), 2) + " %");
        } else if (entry instanceof Entry.Observed o) {
            return plain(Findings.find(o.finding())
                    .map(f -> o.presence() == Presence.SEEN ? f.words() : "looked: " + f.absent())
                    .orElse(o.finding()));
        } else if (entry instanceof Entry.PhotoTaken p) {
            return plain(p.caption().isBlank() ? "picture" : "picture: " + p.caption());
        } else if (entry instanceof Entry.Noted n) {
            return plain("\u201c" + n.text() + "\u201d");
        } else if (entry instanceof Entry.Held h) {
            return new EntryWords("hazard", "held: " + h.reason());
        } else if (entry instanceof Entry.Released r) {
            return plain("released: " + r.reason());
        } else if (entry instanceof Entry.Concluded c) {
            return plain("concluded: " + c.condition() + (c.words().isBlank() ? "" : ", " + c.words()));
        }
        if (entry instanceof Entry.Unreadable u) {
            return plain("cannot be understood: " + cut(u.kept()));
        }
        throw new IllegalStateException("Impossible state: no words for " + entry);
    }

    private static String cut(String kept) {
        return kept.length() <= LONGEST_SHOWN ? kept : kept.substring(0, LONGEST_SHOWN) + "\u2026";
    }

    /** What a substance is called. */
    public static String name(Weighable what) {
        Catalogue catalogue = Catalogue.standard();
        return switch (what.kind()) {
            case FAT -> catalogue.findFat(what.id()).map(f -> f.shortName()).orElseGet(() -> spoken(what.id()));
            case LIQUID -> catalogue.findLiquid(what.id()).map(l -> l.name()).orElseGet(() -> spoken(what.id()));
            case ADDITIVE -> catalogue.findAdditive(what.id()).map(a -> a.name()).orElseGet(() -> spoken(what.id()));
            case ALKALI -> what.equals(Weighable.NAOH) ? "NaOH" : what.equals(Weighable.KOH) ? "KOH" : spoken(what.id());
        };
    }

    /** The name of something of the workshop's own, from its id. */
    private static String spoken(String ownId) {
        String words = ownId.replaceFirst("^own-", "").replace('-', ' ');
        return words.isEmpty() ? words : Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    public static String mark(Weighable what) {
        return switch (what.kind()) {
            case FAT -> "fats";
            case LIQUID -> "liquid";
            case ALKALI -> "lye";
            case ADDITIVE -> PLAIN;
        };
    }

    public static String stage(Stage stage) {
        return switch (stage) {
            case THIN, LIGHT, MEDIUM, THICK -> lower(stage) + " trace";
            case FALSE_TRACE -> "false trace";
            default -> lower(stage);
        };
    }

    public static String spot(Spot spot) {
        return lower(spot);
    }

    private static EntryWords weighed(Entry.Weighed w, Formats formats) {
        String vessel = w.vessel() == null ? "" : " from the " + w.vessel();
        String tare =
                switch (w.tare()) {
                    case TAKEN -> "";
                    case NOT_TAKEN -> ", tare not taken";
                    case NOT_SAID -> w.vessel() == null ? "" : ", no tare logged";
                };
        return new EntryWords(mark(w.what()), name(w.what()) + " " + formats.mass(w.mass()) + vessel + tare);
    }

    private static String mass(@Nullable Mass mass, Formats formats) {
        return mass == null ? "" : " " + formats.mass(mass);
    }

    private static String bath(Surroundings into) {
        return switch (into) {
            case ROOM -> " out of the bath";
            case ICE_BATH -> " into an ice bath";
            case COLD_BATH -> " into cold water";
            case WARM_BATH -> " into warm water";
        };
    }

    private static String keeping(Keeping keeping) {
        return switch (keeping) {
            case COVERED -> "covered";
            case INSULATED -> "insulated";
            case UNCOVERED -> "uncovered";
            case OVEN -> "into the oven";
            case FRIDGE -> "into the fridge";
            case FREEZER -> "into the freezer";
            case SPRAYED -> "sprayed with alcohol";
        };
    }

    private static EntryWords plain(String text) {
        return new EntryWords(PLAIN, text);
    }

    private static String lower(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT);
    }
}
