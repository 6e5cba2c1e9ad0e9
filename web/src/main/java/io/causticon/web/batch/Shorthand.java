package io.causticon.web.batch;

import io.causticon.core.diagnosis.Findings;
import io.causticon.core.notation.QuickLine;
import io.causticon.core.observation.Entry;
import io.causticon.core.observation.PhMethod;
import io.causticon.core.observation.Presence;
import io.causticon.core.observation.Tare;
import io.causticon.core.observation.Weighable;
import io.causticon.core.quantity.Mass;
import io.causticon.web.shared.Formats;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** Writes an entry as a maker would type it, so that it can be amended where she typed it. */
final class Shorthand {

    private Shorthand() {}

    static String of(Entry entry, Formats formats) {
        if (entry instanceof Entry.Weighed w) {
            String vessel = w.vessel() == null ? "" : " from " + w.vessel();
            String tare = w.tare() == Tare.TAKEN ? " tared" : w.tare() == Tare.NOT_TAKEN ? " no tare" : "";
            String name = w.what().kind() == Weighable.Kind.ALKALI
                    ? w.what().id()
                    : w.what().id().replace('-', ' ');
            return "weigh " + name + " " + formats.massInput(w.mass()) + " " + formats.massUnit() + vessel + tare;
        } else if (entry instanceof Entry.TemperatureRead t) {
            String unit = formats.temperatureUnit().substring(1);
            return lower(t.spot()) + " " + plain(formats.temperatureNumber(t.temperature())) + " " + unit;
        } else if (entry instanceof Entry.WeighedAgain w) {
            String name = w.what().kind() == Weighable.Kind.ALKALI ? w.what().id() : w.what().id().replace('-', ' ');
            return "again " + name + " " + formats.massInput(w.mass()) + " " + formats.massUnit();
        } else if (entry instanceof Entry.ReadyForLye) {
            return "ready";
        } else if (entry instanceof Entry.RestScaled s) {
            return "scale the rest by " + s.factor();
        } else if (entry instanceof Entry.PortionFed p) {
            return "portion " + p.portion() + "/" + p.of();
        } else if (entry instanceof Entry.LyeClear) {
            return "clear";
        } else if (entry instanceof Entry.Bathed b) {
            return lower(b.pot()) + switch (b.into()) {
                case ROOM -> " out";
                case ICE_BATH -> " ice bath";
                case COLD_BATH -> " cold bath";
                case WARM_BATH -> " warm bath";
            };
        } else if (entry instanceof Entry.LyeIntoFats) {
            return "lye in";
        } else if (entry instanceof Entry.BlenderBurst b) {
            return "blend " + b.seconds();
        } else if (entry instanceof Entry.StageReached s) {
            return stage(s) + (s.after() == null ? "" : " after " + s.after());
        } else if (entry instanceof Entry.Added a) {
            return "add " + a.what() + mass(a.mass(), formats) + (a.portion() == null ? "" : " to " + a.portion())
                    + (a.lot() == null ? "" : " lot " + a.lot());
        } else if (entry instanceof Entry.Poured p) {
            return "poured"
                    + (p.batter() == null
                            ? ""
                            : " " + plain(formats.temperatureNumber(p.batter())) + formats.temperatureUnit().substring(1));
        } else if (entry instanceof Entry.PortionTaken t) {
            return "take " + t.portion() + mass(t.mass(), formats);
        } else if (entry instanceof Entry.LayerPoured l) {
            return "layer " + l.portion() + mass(l.mass(), formats);
        } else if (entry instanceof Entry.AirTapped) {
            return "tapped";
        } else if (entry instanceof Entry.MixedWith m) {
            return lower(m.method()).replace('_', ' ');
        } else if (entry instanceof Entry.HumidityRead h) {
            return "humidity " + plain(Formats.number(h.percent(), 0));
        } else if (entry instanceof Entry.Behaved b) {
            return b.what() + " " + lower(b.how());
        } else if (entry instanceof Entry.Kept k) {
            return switch (k.keeping()) {
                case COVERED -> "cover";
                case INSULATED -> "insulate";
                case UNCOVERED -> "uncover";
                case OVEN -> "oven";
                case FRIDGE -> "fridge";
                case FREEZER -> "freezer";
                case SPRAYED -> "spray";
            };
        }
        return afterTheMould(entry, formats);
    }

    private static String mass(@Nullable Mass mass, Formats formats) {
        return mass == null ? "" : " " + formats.massInput(mass) + " " + formats.massUnit();
    }

    private static String afterTheMould(Entry entry, Formats formats) {
        if (entry instanceof Entry.GelSeen g) {
            return "gel " + lower(g.extent());
        } else if (entry instanceof Entry.Unmoulded) {
            return "unmould";
        } else if (entry instanceof Entry.Cut c) {
            return "cut " + c.bars();
        } else if (entry instanceof Entry.PhRead ph) {
            return "ph " + ph.ph() + (ph.method() == PhMethod.STRIP ? " strip" : " meter");
        } else if (entry instanceof Entry.WashTested w) {
            return "wash " + lower(w.feel());
        } else if (entry instanceof Entry.TouchTested t) {
            return "touch " + lower(t.feel());
        } else if (entry instanceof Entry.BarWeighed b) {
            return "bar " + formats.massInput(b.mass()) + " " + formats.massUnit();
        } else if (entry instanceof Entry.Titrated t) {
            return "titrate " + t.freeAlkaliPercent();
        } else if (entry instanceof Entry.Observed o) {
            String words = Findings.find(o.finding()).map(f -> f.words()).orElse(o.finding());
            return (o.presence() == Presence.SEEN ? "see " : "no ") + words;
        } else if (entry instanceof Entry.Noted n) {
            return (QuickLine.speaksOfBurning(n.text()) ? "just a note " : "note ") + n.text();
        }
        if (entry instanceof Entry.Unreadable || entry.isDeed()) {
            return "";
        }
        throw new IllegalStateException("Impossible state: no shorthand for " + entry);
    }

    private static String stage(Entry.StageReached s) {
        return switch (s.stage()) {
            case RICED -> "rice";
            case CURDLED -> "curdle";
            case SEPARATED -> "separate";
            case FALSE_TRACE -> "false";
            case FROTHY -> "froth";
            default -> lower(s.stage());
        };
    }

    private static String lower(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT);
    }

    private static String plain(String number) {
        return number.replace('\u2212', '-').replace(",", "");
    }
}
