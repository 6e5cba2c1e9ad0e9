package io.causticon.core.model.log;

import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One thing that happened to a batch. Each is past tense and immutable; when and by whom stands on the
 * {@link LoggedEntry} that carries it.
 */
public sealed interface Entry {

    /**
     * Whether it is a deed with consequences of its own: it is not amended, and undone only by the deed that undoes it.
     */
    default boolean isDeed() {
        return this instanceof PhotoTaken
                || this instanceof Held
                || this instanceof Released
                || this instanceof Concluded
                || this instanceof Abandoned;
    }

    /**
     * On which bars it was seen, felt or measured; null where that was not said, and for what is of the whole batch.
     */
    default @Nullable Bars on() {
        return null;
    }

    /** Something was weighed into the batch. The same thing weighed twice adds up, unless the line is amended. */
    record Weighed(
            Weighable what, Mass mass, Tare tare, @Nullable Named vessel) implements Entry {}

    /** Something that was weighed already was put on the scale a second time, to compare; it does not add up. */
    record WeighedAgain(Weighable what, Mass mass) implements Entry {}

    /** What is in the full pot was weighed, its own mass taken off: all that went in up to now. */
    record PotWeighed(Mass mass) implements Entry {}

    /**
     * The finished soap was melted down again, with so much more of a fat where there was too much alkali, and with
     * water to melt it in.
     */
    record Rebatched(@Nullable Weighable fat, @Nullable Mass mass, Mass water) implements Entry {}

    /** The maker is ready for lye: what was looked at before. */
    record ReadyForLye(List<String> checks) implements Entry {

        public ReadyForLye {
            checks = List.copyOf(checks);
        }
    }

    /**
     * There was too much of one thing, and the rest of the recipe grows by this factor to go with it, before any lye is
     * in the fats.
     */
    record RestScaled(double factor) implements Entry {}

    /** A portion of lye, or of frozen liquid onto strong lye, went in. */
    record PortionFed(int portion, int of) implements Entry {}

    /** The lye is clear and was strained. */
    record LyeClear() implements Entry {}

    /** A temperature was read. */
    record TemperatureRead(MeasurementPoint spot, Temperature temperature) implements Entry {}

    /** A pot was put into a bath, or taken out of it. */
    record Bathed(MeasurementPoint pot, Bath into) implements Entry {}

    /** Lye was poured into the fats: the clock of the batter starts. */
    record LyeIntoFats() implements Entry {}

    /** The blender ran for so many seconds. */
    record BlenderBurst(int seconds) implements Entry {}

    /** The batter was seen at a stage, perhaps just after something was added. */
    record StageReached(Stage stage, @Nullable Named after) implements Entry {}

    /** What the batter is mixed with from now on. */
    record MixedWith(MixMethod method) implements Entry {}

    /**
     * Something went into the batter.
     *
     * @param portion of which portion, null for the whole batter
     * @param lot label of its lot, null when not said
     */
    record Added(
            Named what,
            @Nullable Mass mass,
            @Nullable Named portion,
            @Nullable String lot) implements Entry {

        /** Something known by its name alone, into the whole batter, of a lot that was not said. */
        public Added(String what, @Nullable Mass mass) {
            this(Named.called(what), mass, null, null);
        }
    }

    /** A portion was taken from the bowl. */
    record PortionTaken(Named portion, @Nullable Mass mass) implements Entry {

        /** One known by its name alone. */
        public PortionTaken(String portion, @Nullable Mass mass) {
            this(Named.called(portion), mass);
        }
    }

    /** A portion or layer went into the mould, or on top of what is in it. */
    record LayerPoured(Named portion, @Nullable Mass mass) implements Entry {

        /** One known by its name alone. */
        public LayerPoured(String portion, @Nullable Mass mass) {
            this(Named.called(portion), mass);
        }
    }

    /** Something done to a pot that is cooked, or what its paste looks like. */
    record Cooked(Cooking what) implements Entry {}

    /** The air was tapped out of the mould. */
    record AirTapped() implements Entry {}

    /** An ingredient showed what it does: in the pot or in the bar. */
    record Behaved(Named what, Behaviour how) implements Entry {

        /** One known by its name alone. */
        public Behaved(String what, Behaviour how) {
            this(Named.called(what), how);
        }
    }

    /**
     * Its maker wants it to cure at least so long, where that is longer than the least for its kind; counted in weeks
     * from the mould.
     */
    record ToCure(int weeks) implements Entry {}

    /** How the bars stand from now on while they dry. */
    record BarsStand(Standing how) implements Entry {}

    /**
     * Hardness of the water that is washed with, as mg of calcium carbonate in a litre (ISO 6059 gives mmol/l, a
     * hundredth of it).
     */
    record WaterRead(double milligramsPerLitre) implements Entry {}

    /** Relative humidity of the workshop's air, per cent. */
    record HumidityRead(double percent) implements Entry {}

    /** The batter went into the mould. */
    record Poured(@Nullable Temperature batter) implements Entry {}

    /** How the mould is kept from now on; the temperature is that of an oven or fridge. */
    record Kept(MouldCare keeping, @Nullable Temperature temperature) implements Entry {}

    /** How far gel was seen to go. */
    record GelSeen(GelExtent extent) implements Entry {}

    /** The soap was tried in its mould. */
    record MouldTried(MouldLook look) implements Entry {}

    /** The soap left its mould. */
    record Unmoulded() implements Entry {}

    /** The soap was cut into bars. */
    record Cut(int bars) implements Entry {}

    /** Trimmings, shavings or whole bars of it were put aside to be melted down some day: of which colour, how much. */
    record ScrapsKept(String colour, Mass mass) implements Entry {}

    /** A pH was read; on which bar, where that was said. */
    record PhRead(double ph, PhMethod method, @Nullable Bars on) implements Entry {

        /** On a bar that was not named. */
        public PhRead(double ph, PhMethod method) {
            this(ph, method, null);
        }
    }

    /** Somebody washed with it; with which bar, where that was said. */
    record WashTested(WashFeel feel, @Nullable Bars on) implements Entry {

        /** With a bar that was not named. */
        public WashTested(WashFeel feel) {
            this(feel, null);
        }
    }

    /** Somebody pressed it; which bar, where that was said. */
    record TouchTested(TouchFeel feel, @Nullable Bars on) implements Entry {

        /** One that was not named. */
        public TouchTested(TouchFeel feel) {
            this(feel, null);
        }
    }

    /** A bar was weighed in cure; which one, where that was said. */
    record BarWeighed(Mass mass, @Nullable Bars on) implements Entry {

        /** One that was not named. */
        public BarWeighed(Mass mass) {
            this(mass, null);
        }
    }

    /** How well it lathers, from 1 for hardly to 5 for a handful of foam; with which bar, where that was said. */
    record Lathered(int grade, @Nullable Bars on) implements Entry {}

    /**
     * Somebody washed with it and graded it, in a round of several.
     *
     * @param judge who
     * @param place in which place of the round, from 1
     * @param of how many there were in the round
     * @param grades each scale once
     * @param water how warm the water was; null where nobody said
     * @param on with which bar, or of which portion
     */
    record Judged(
            String judge,
            int place,
            int of,
            List<Grade> grades,
            @Nullable Temperature water,
            @Nullable Bars on) implements Entry {

        public Judged {
            grades = grades == null ? List.of() : List.copyOf(grades);
        }

        /** In water of which nobody said how warm it was. */
        public Judged(String judge, int place, int of, List<Grade> grades, @Nullable Bars on) {
            this(judge, place, of, grades, null, on);
        }

        /** One scale's grade, from 1 to 5. */
        public record Grade(SensoryScale scale, int grade) {}
    }

    /** How deep a needle under a weight went into it; of which bar, where that was said. */
    record NeedleRead(double millimetres, @Nullable Bars on) implements Entry {}

    /**
     * Free alkali was titrated; per cent NaOH of the soap's mass.
     *
     * @param on of which bar, where that was said
     * @param by how; null where only its result was said
     */
    record Titrated(
            double freeAlkaliPercent,
            @Nullable Bars on,
            @Nullable Titration by) implements Entry {

        /** As it was told elsewhere. */
        public Titrated(double freeAlkaliPercent, @Nullable Bars on) {
            this(freeAlkaliPercent, on, null);
        }

        /** As it follows from how it was done. */
        public static Titrated of(Titration by, @Nullable Bars on) {
            return new Titrated(by.freeAlkaliPercent().value(), on, by);
        }

        /** Of a bar that was not named. */
        public Titrated(double freeAlkaliPercent) {
            this(freeAlkaliPercent, null);
        }
    }

    /** A finding was seen, or looked for and not there; on which bars, where that was said. */
    record Observed(
            String finding, Presence presence, @Nullable Bars on) implements Entry {

        /** On a bar that was not named. */
        public Observed(String finding, Presence presence) {
            this(finding, presence, null);
        }
    }

    /** Bars left the rack: how many or which, and who has them; empty where nobody was named. */
    record BarsWent(Bars on, Whither where, String to) implements Entry {}

    /** Bars, a cup or a layer stand apart and are given to nobody, whatever the batch is. */
    record SetApart(Bars on, String reason) implements Entry {}

    /** They stand with the others again. */
    record BroughtBack(Bars on, String reason) implements Entry {}

    /** A picture was taken; of which bar, where that was said. */
    record PhotoTaken(
            String photo, String caption, @Nullable Bars on) implements Entry {

        /** Of the batch. */
        public PhotoTaken(String photo, String caption) {
            this(photo, caption, null);
        }
    }

    /** What the batch is for from now on. */
    record MeantFor(Purpose purpose) implements Entry {}

    /** Words. */
    record Noted(String text) implements Entry {}

    /** The batch may not be used or sold until it is released. */
    record Held(String reason) implements Entry {}

    /** The batch may be used. */
    record Released(String reason) implements Entry {}

    /** A maker settled what the bar has. */
    record Concluded(Named condition, String words) implements Entry {}

    /**
     * The batch was given up on the bench, or begun by mistake. What was poured is never abandoned: it is soap, and
     * somebody may use it.
     */
    record Abandoned(String reason) implements Entry {}

    /**
     * A line that is kept and cannot be understood. It counts for nothing until it is amended.
     *
     * @param kept what stands there, as it stands there
     */
    record Unreadable(String kept) implements Entry {}
}
