package io.causticon.web.batch;

import com.fasterxml.jackson.annotation.JsonAutoDetect.Visibility;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonSubTypes.Type;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import io.causticon.core.observation.Entry;
import io.causticon.core.observation.EntryCheck;
import io.causticon.web.shared.Recent;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * Writes entries of the log for keeping and reads them again. The names of the types are part of the kept data: they may be added
 * to, never changed.
 */
@Component
class EntryCodec {

    /** The names, kept apart from the core, which knows nothing of how it is stored. */
    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
    @JsonSubTypes({
        @Type(value = Entry.Weighed.class, name = "weighed"),
        @Type(value = Entry.TemperatureRead.class, name = "temperature"),
        @Type(value = Entry.WeighedAgain.class, name = "weighed-again"),
        @Type(value = Entry.ReadyForLye.class, name = "ready"),
        @Type(value = Entry.RestScaled.class, name = "rest-scaled"),
        @Type(value = Entry.PortionFed.class, name = "portion"),
        @Type(value = Entry.LyeClear.class, name = "lye-clear"),
        @Type(value = Entry.Bathed.class, name = "bathed"),
        @Type(value = Entry.LyeIntoFats.class, name = "lye-in"),
        @Type(value = Entry.BlenderBurst.class, name = "burst"),
        @Type(value = Entry.StageReached.class, name = "stage"),
        @Type(value = Entry.Added.class, name = "added"),
        @Type(value = Entry.MixedWith.class, name = "method"),
        @Type(value = Entry.PortionTaken.class, name = "portion-taken"),
        @Type(value = Entry.LayerPoured.class, name = "layer"),
        @Type(value = Entry.AirTapped.class, name = "tapped"),
        @Type(value = Entry.Behaved.class, name = "behaved"),
        @Type(value = Entry.HumidityRead.class, name = "humidity"),
        @Type(value = Entry.Poured.class, name = "poured"),
        @Type(value = Entry.Kept.class, name = "kept"),
        @Type(value = Entry.GelSeen.class, name = "gel"),
        @Type(value = Entry.Unmoulded.class, name = "unmoulded"),
        @Type(value = Entry.Cut.class, name = "cut"),
        @Type(value = Entry.PhRead.class, name = "ph"),
        @Type(value = Entry.WashTested.class, name = "wash"),
        @Type(value = Entry.TouchTested.class, name = "touch"),
        @Type(value = Entry.BarWeighed.class, name = "bar"),
        @Type(value = Entry.Titrated.class, name = "titrated"),
        @Type(value = Entry.Observed.class, name = "finding"),
        @Type(value = Entry.PhotoTaken.class, name = "photo"),
        @Type(value = Entry.Noted.class, name = "note"),
        @Type(value = Entry.Held.class, name = "held"),
        @Type(value = Entry.Released.class, name = "released"),
        @Type(value = Entry.Concluded.class, name = "concluded")
    })
    private interface Named {}

    private static final int REMEMBERED = 20_000;

    private final Recent<String, Entry> recent = new Recent<>(REMEMBERED);

    private final JsonMapper mapper = JsonMapper.builder()
            .addMixIn(Entry.class, Named.class)
            .changeDefaultVisibility(v -> v.withGetterVisibility(Visibility.NONE)
                    .withIsGetterVisibility(Visibility.NONE)
                    .withFieldVisibility(Visibility.ANY))
            .build();

    String write(Entry entry) {
        return entry instanceof Entry.Unreadable u ? u.kept() : mapper.writerFor(Entry.class).writeValueAsString(entry);
    }

    /** A revision is never changed, so what it says is read once and remembered. Whatever stands there, it is an entry. */
    Entry read(String kept) {
        return recent.get(kept, this::entry);
    }

    private Entry entry(String kept) {
        try {
            Entry entry = mapper.readValue(kept, Entry.class);
            return entry != null && EntryCheck.isSound(entry) ? entry : new Entry.Unreadable(kept);
        } catch (JacksonException e) {
            return new Entry.Unreadable(kept);
        }
    }
}
