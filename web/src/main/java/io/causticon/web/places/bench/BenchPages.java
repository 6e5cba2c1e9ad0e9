package io.causticon.web.places.bench;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.science.pots.PotMemories;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.words.EntryWords;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.LoafForecasts;
import io.causticon.web.store.batch.LoafMemory;
import io.causticon.web.store.batch.MixMemory;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Words the bench for the step that a batch is at. */
@Service
class BenchPages {

    private static final int RECENT = 7;
    private static final Duration TAKEN_BACK_WITHIN = Duration.ofSeconds(10);

    private final LoafForecasts loaves;
    private final LoafMemory memory;
    private final PotMemory pots;
    private final MixMemory mixes;
    private final Clock clock;

    BenchPages(LoafForecasts loaves, LoafMemory memory, PotMemory pots, MixMemory mixes, Clock clock) {
        this.loaves = loaves;
        this.memory = memory;
        this.pots = pots;
        this.mixes = mixes;
        this.clock = clock;
    }

    /**
     * What a page is asked for beside its step.
     *
     * @param rescue id of the rescue card that is open, empty for none
     * @param thick thickness of a bar, as typed
     * @param embeds what the cuts are to miss, as typed
     * @param side whether the loaf is cut lying on its side
     * @param words of what cannot be
     */
    record Asked(String rescue, String thick, String embeds, boolean side, Function<ProblemsException, String> words) {}

    /**
     * The page of a batch at a step.
     *
     * @param shown the step to show
     * @param at the moment to show it at: now, or the one given by hand
     * @param vessels vessels whose mass is known, for tares that were not taken
     * @param lots labels of the lots on the shelf, by substance
     * @param asked what else the page is asked for
     */
    BenchPage page(
            Batch batch,
            BenchStep shown,
            Maker maker,
            Optional<Instant> at,
            KnownVessels vessels,
            Map<String, List<String>> lots,
            Asked asked) {
        Instant now = at.orElseGet(clock::instant);
        Formats formats = maker.formats();
        Weighing weighing = new Weighing(batch, formats, vessels);
        return new BenchPage(
                batch.id().toString(),
                batch.name(),
                PotPages.method(batch) + EntryWords.purpose(batch.purpose()),
                batch.log().begun().toEpochMilli(),
                Formats.stopwatch(batch.log().ageAt(now)),
                BenchStep.road(batch, shown).stream()
                        .map(s -> new BenchPage.Step(s.id(), s.title(batch), s.isDone(batch), s == shown))
                        .toList(),
                shown.id(),
                shown == BenchStep.WEIGH ? weighing.page() : null,
                shown == BenchStep.READY ? ReadyList.of(batch) : null,
                switch (shown) {
                    case LYE -> new PotPages(batch, maker, PotMemories.NONE, whilePotsStood(batch, now)).lyePot();
                    case MATCH ->
                        new PotPages(batch, maker, pots.of(batch, maker.room()), whilePotsStood(batch, now)).matching();
                    default -> null;
                },
                shown == BenchStep.MIX ? mixing(batch, maker, lots, now).page(asked.rescue()) : null,
                shown == BenchStep.COOK
                        ? new CookPages(
                                        batch,
                                        maker,
                                        mixing(batch, maker, lots, now).afterTheCook(),
                                        now)
                                .page()
                        : null,
                shown == BenchStep.POUR
                        ? new PourPages(
                                        batch,
                                        maker,
                                        mixing(batch, maker, lots, now).live(),
                                        now)
                                .page(loaves.of(batch, maker.room()), loaves.before(batch, maker.room()))
                        : null,
                shown == BenchStep.OUT ? new OutPages(batch, maker, now, asked).page() : null,
                weighing.warnings(),
                undo(batch, maker),
                recent(batch, formats));
    }

    /** The pots are shown as they were when they were poured together, however much later somebody looks. */
    private static Instant whilePotsStood(Batch batch, Instant now) {
        return batch.log()
                .first(Entry.LyeIntoFats.class)
                .map(t -> t.at())
                .filter(in -> in.isBefore(now))
                .orElse(now);
    }

    private MixPages mixing(Batch batch, Maker maker, Map<String, List<String>> lots, Instant now) {
        return new MixPages(batch, maker, mixes.known(), memory.known(maker.room()), lots, now);
    }

    /** The last tap, for some seconds, to whoever made it; a deed is not taken back by the way. */
    private BenchPage.@Nullable Undo undo(Batch batch, Maker maker) {
        Instant since = clock.instant().minus(TAKEN_BACK_WITHIN);
        List<LoggedEntry> fresh = batch.log().entries().stream()
                .filter(e -> e.current().recordedAt().isAfter(since)
                        && e.current().number() == 1
                        && e.current().by().equals(maker.displayName()))
                .filter(e -> !e.entry().isDeed())
                .sorted(Comparator.comparing(e -> e.current().recordedAt()))
                .toList();
        if (fresh.isEmpty()) {
            return null;
        }
        LoggedEntry last = fresh.get(fresh.size() - 1);
        boolean twice = fresh.size() > 1 && fresh.get(fresh.size() - 2).entry().equals(last.entry());
        String words =
                EntryWords.of(last.entry(), batch.names(), maker.formats()).text();
        return new BenchPage.Undo(
                last.id(), last.current().number(), words + (twice ? ": logged twice. The second one" : ": logged."));
    }

    private static List<BenchPage.Recent> recent(Batch batch, Formats formats) {
        List<LoggedEntry> entries = new ArrayList<>(batch.log().entries());
        Collections.reverse(entries);
        return entries.stream()
                .limit(RECENT)
                .map(e -> new BenchPage.Recent(
                        e.id(),
                        Formats.duration(Duration.between(batch.log().begun(), e.at())),
                        EntryWords.of(e.entry(), batch.names(), formats)))
                .toList();
    }
}
