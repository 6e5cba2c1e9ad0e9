package io.causticon.web.store.batch;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.Bath;
import io.causticon.core.model.log.Behaviour;
import io.causticon.core.model.log.Cooking;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.GelExtent;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.MixMethod;
import io.causticon.core.model.log.MouldCare;
import io.causticon.core.model.log.MouldLook;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.PhMethod;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.log.Purpose;
import io.causticon.core.model.log.SensoryScale;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.log.Standing;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.Titration;
import io.causticon.core.model.log.TouchFeel;
import io.causticon.core.model.log.WashFeel;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.log.Whither;
import io.causticon.core.model.said.entry.Names;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.words.EntryWords;
import java.time.ZoneOffset;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class CodecsTest {

    private static final Formats FORMATS = new Formats(Units.METRIC, ZoneOffset.UTC);
    private final EntryCodec codec = new EntryCodec();

    static Stream<Entry> everyKind() {
        return Stream.of(
                new Entry.Weighed(Weighable.fat("lard"), Mass.grams(264), Tare.NOT_SAID, Named.called("second jug")),
                new Entry.TemperatureRead(MeasurementPoint.LYE, Temperature.celsius(43.5)),
                new Entry.LyeIntoFats(),
                new Entry.WeighedAgain(Weighable.NAOH, Mass.grams(163.2)),
                new Entry.PotWeighed(Mass.grams(4120)),
                new Entry.Rebatched(Weighable.fat("lard"), Mass.grams(66), Mass.grams(280)),
                new Entry.Rebatched(null, null, Mass.grams(280)),
                new Entry.ReadyForLye(List.of()),
                new Entry.RestScaled(1.037037),
                new Entry.PortionFed(3, 9),
                new Entry.LyeClear(),
                new Entry.Bathed(MeasurementPoint.LYE, Bath.WARM_BATH),
                new Entry.BlenderBurst(20),
                new Entry.StageReached(Stage.RICED, new Named("eo-lavender", "lavender")),
                new Entry.Added("lavender", Mass.grams(30)),
                new Entry.Added(
                        new Named("eo-lavender", "my lavender"), Mass.grams(30), Named.called("madder"), "LV-4"),
                new Entry.MixedWith(MixMethod.WHISK),
                new Entry.PortionTaken("madder", Mass.grams(410)),
                new Entry.LayerPoured("madder", null),
                new Entry.AirTapped(),
                new Entry.Behaved("tarred hemp", Behaviour.BROWNED),
                new Entry.HumidityRead(62),
                new Entry.Poured(null),
                new Entry.Kept(MouldCare.OVEN, Temperature.celsius(70)),
                new Entry.Cooked(Cooking.WAXY),
                new Entry.GelSeen(GelExtent.PARTIAL),
                new Entry.MouldTried(MouldLook.CLINGS),
                new Entry.Unmoulded(),
                new Entry.Cut(12),
                new Entry.ScrapsKept("sea green", Mass.grams(85)),
                new Entry.PhRead(9.5, PhMethod.STRIP),
                new Entry.WashTested(WashFeel.BURNING),
                new Entry.TouchTested(TouchFeel.STICKY),
                new Entry.BarWeighed(Mass.grams(104.2)),
                new Entry.BarWeighed(Mass.grams(83.2), Bars.numbered(3)),
                new Entry.BarWeighed(Mass.grams(83.2), Bars.numbered(3).of(new Named("portion-1", "cream"))),
                new Entry.Lathered(4, Bars.some(1).of(Named.called("goat"))),
                new Entry.Judged(
                        "Odd",
                        1,
                        2,
                        List.of(new Entry.Judged.Grade(SensoryScale.FIRM, 3)),
                        Temperature.celsius(38),
                        null),
                new Entry.NeedleRead(3.5, null),
                new Entry.BarsWent(Bars.some(6), Whither.SOLD, "the harbour shop"),
                new Entry.SetApart(Bars.numbered(2, 5), "they weep"),
                new Entry.BroughtBack(Bars.numbered(2, 5), "dry since"),
                Entry.Titrated.of(new Titration(Titration.Acid.CITRIC, 10, 1, Mass.grams(20)), Bars.numbered(3)),
                new Entry.Titrated(0.3),
                new Entry.Observed("thick-crust", Presence.SEEN),
                new Entry.PhotoTaken("7b1e", "the crust"),
                new Entry.PhotoTaken("7b1e", "the crust", Bars.numbered(3)),
                new Entry.BarsStand(Standing.CLOSE),
                new Entry.WaterRead(250),
                new Entry.ToCure(52),
                new Entry.Judged(
                        "Odd Brekke",
                        2,
                        6,
                        List.of(new Entry.Judged.Grade(SensoryScale.CREAM, 4)),
                        Bars.some(1).of(Named.called("goat"))),
                new Entry.MeantFor(Purpose.PRACTICE),
                new Entry.Noted("smells sweet"),
                new Entry.Held("lye-heavy at 94 %"),
                new Entry.Released("calm"),
                new Entry.Concluded(new Named("soda-ash", "soda ash"), "steamed off"),
                new Entry.Abandoned("begun by mistake"),
                new Entry.Unreadable("{\"type\":\"weighed\""));
    }

    @ParameterizedTest
    @MethodSource("everyKind")
    void everyEntryIsReadAsItWasWritten(Entry entry) {
        assertThat(codec.read(codec.write(entry))).isEqualTo(entry);
    }

    @ParameterizedTest
    @MethodSource("everyKind")
    void everyEntryHasWords(Entry entry) {
        EntryWords words = EntryWords.of(entry, Names.OF_THE_TABLES, FORMATS);
        assertThat(words.text()).isNotBlank().doesNotContain("null").doesNotContain("Entry");
    }

    @Test
    void everyKindOfEntryIsTested() {
        List<Class<?>> kinds = List.of(Entry.class.getPermittedSubclasses());
        assertThat(everyKind().map(Object::getClass))
                .containsAll(kinds.stream().map(k -> (Class<?>) k).toList());
    }

    @Test
    void namesOfKindsAreKeptForEver() {
        // Kept logs hold these words; a change would make them unreadable.
        assertThat(codec.write(new Entry.LyeIntoFats())).isEqualTo("{\"type\":\"lye-in\"}");
        assertThat(codec.read("{\"type\":\"burst\",\"seconds\":20}")).isEqualTo(new Entry.BlenderBurst(20));
        // Kept before portions and lots were said.
        assertThat(codec.read("{\"type\":\"added\",\"what\":\"lavender\"}"))
                .isEqualTo(new Entry.Added("lavender", null));
    }

    @Test
    void whatWasKeptBeforeThereWereIdsIsReadAndWhatANewerProgramKeptIsNotGuessedAt() {
        assertThat(codec.read("{\"type\":\"concluded\",\"condition\":\"soda ash\",\"words\":\"\"}"))
                .isEqualTo(new Entry.Concluded(Named.called("soda ash"), ""));
        String kept = codec.write(new Entry.Behaved(new Named("eo-lavender", "lavender"), Behaviour.FADED));
        assertThat(kept).startsWith("{\"type\":\"behaved\",\"v\":2,").contains("\"id\":\"eo-lavender\"");
        String newer = kept.replace("\"v\":2", "\"v\":3");
        assertThat(codec.read(newer)).isEqualTo(new Entry.Unreadable(newer));
        assertThat(codec.write(codec.read(newer))).isEqualTo(newer);
    }
}
