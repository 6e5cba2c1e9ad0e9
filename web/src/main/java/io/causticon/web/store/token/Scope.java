package io.causticon.web.store.token;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.said.entry.EntryKind;
import io.causticon.core.model.said.entry.EntryKinds;
import java.util.Set;

/** What a program may do. What a person decides, no program does, whatever its scopes are. */
public enum Scope {
    READ("read batches"),
    MEASURE("add measurements"),
    WRITE("add lines of any kind that is typed");

    private static final Set<Class<? extends Entry>> MEASUREMENTS = Set.of(
            Entry.TemperatureRead.class,
            Entry.PotWeighed.class,
            Entry.BlenderBurst.class,
            Entry.HumidityRead.class,
            Entry.WaterRead.class,
            Entry.PhRead.class,
            Entry.Titrated.class,
            Entry.NeedleRead.class,
            Entry.BarWeighed.class);

    private final String words;

    Scope(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** Whether somebody who may do this may add such a line. */
    public boolean adds(Entry entry) {
        return this == WRITE && isForPrograms(entry) || this == MEASURE && MEASUREMENTS.contains(entry.getClass());
    }

    /** What somebody looks at, decides or answers for: that gloves are on, that the rest grows with what was too much, what a batch is for. */
    private static final Set<Class<? extends Entry>> OF_A_PERSON = Set.of(
            Entry.ReadyForLye.class, Entry.RestScaled.class, Entry.Rebatched.class, Entry.MeantFor.class, Entry.BroughtBack.class, Entry.Judged.class);

    /**
     * Whether any program may. Holding, releasing, giving up and settling what a bar has are deeds of a person who stands before it; so is putting back to
     * the others what was set apart for its hazard.
     */
    public static boolean isForPrograms(Entry entry) {
        EntryKind<?> kind = EntryKinds.of(entry);
        return kind.isTyped() && !entry.isDeed() && !OF_A_PERSON.contains(entry.getClass());
    }
}
