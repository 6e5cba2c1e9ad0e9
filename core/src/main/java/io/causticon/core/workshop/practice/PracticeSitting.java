package io.causticon.core.workshop.practice;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.log.WashFeel;
import io.causticon.core.science.diagnosis.Diagnosis;
import io.causticon.core.science.diagnosis.Diagnostician;
import io.causticon.core.science.diagnosis.knowledge.StandardKnowledge;
import io.causticon.core.science.draw.DrawnCase;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A case and what a learner did about it so far. It follows from the two and is worked out anew each time.
 */
public final class PracticeSitting {

    /** Nobody does more before concluding. */
    public static final int MOST_MOVES = 80;

    /** Soap of the first two days burns whoever touches it. */
    private static final double SAFE_FROM_DAY = 2;

    private static final double LONGEST_DAYS = 400;
    private static final int WASH_MINUTES = 5;
    private static final int TITRATION_MINUTES = 25;
    private static final double MINUTES_OF_A_DAY = 1440;
    private static final double HOURS_OF_A_DAY = 24;

    private static final Diagnostician DIAGNOSTICIAN = new Diagnostician(StandardKnowledge.all());
    private static final KnownVessels NO_VESSELS = new KnownVessels(Map.of(), Map.of());

    private final PracticeCase of;
    private final List<LoggedEntry> lines;
    private final List<Done> done = new ArrayList<>();
    private final Set<String> looked = new HashSet<>();
    private double day;
    private int minutes;
    private int burnt;

    private PracticeSitting(PracticeCase of) {
        this.of = of;
        this.lines = new ArrayList<>(of.drawn().made());
        this.day = of.day();
        of.brought().forEach(look -> {
            looked.add(look);
            log(new Entry.Observed(look, Presence.SEEN));
        });
    }

    /**
     * One thing that was done.
     *
     * @param move what
     * @param entry what it told; empty for waiting
     * @param day after the batch was begun
     * @param burnt whether it cost skin
     */
    public record Done(PracticeMove move, Optional<Entry> entry, double day, boolean burnt) {}

    /** Moves that cannot be made are left out. */
    public static PracticeSitting of(PracticeCase practice, List<PracticeMove> moves) {
        PracticeSitting sitting = new PracticeSitting(practice);
        moves.stream().limit(MOST_MOVES).forEach(sitting::make);
        return sitting;
    }

    /** The same without an end to what is done. */
    static PracticeSitting everything(PracticeCase practice, List<PracticeMove> moves) {
        PracticeSitting sitting = new PracticeSitting(practice);
        moves.forEach(sitting::make);
        return sitting;
    }

    /** Whether a move can be made now. */
    public boolean allows(PracticeMove move) {
        return switch (move.kind()) {
            case LOOK -> isOpen(move.what());
            case WAIT -> day + Integer.parseInt(move.what()) <= LONGEST_DAYS;
            case WASH, TITRATE -> day >= 1;
        };
    }

    private void make(PracticeMove move) {
        if (!allows(move)) {
            return;
        }
        DrawnCase drawn = of.drawn();
        switch (move.kind()) {
            case LOOK -> look(move, Findings.find(move.what()).orElseThrow());
            case WASH -> {
                boolean burns = drawn.burns() || day < SAFE_FROM_DAY;
                spend(WASH_MINUTES);
                told(move, new Entry.WashTested(burns ? WashFeel.BURNING : WashFeel.CALM), burns);
            }
            case TITRATE -> {
                spend(TITRATION_MINUTES);
                told(move, new Entry.Titrated(drawn.freeAlkaliPercent()), false);
            }
            case WAIT -> {
                day += Integer.parseInt(move.what());
                done.add(new Done(move, Optional.empty(), day, false));
            }
        }
    }

    private void look(PracticeMove move, Finding finding) {
        boolean seen = of.drawn().isSeen(finding.id());
        spend(finding.minutes());
        day += finding.takes().toMinutes() / MINUTES_OF_A_DAY;
        looked.add(finding.id());
        // A tongue on what is caustic is burnt, whatever it was to find out.
        boolean burnt = finding.equals(Findings.ZAP) && (seen || day < SAFE_FROM_DAY);
        told(move, new Entry.Observed(finding.id(), seen ? Presence.SEEN : Presence.LOOKED_AND_ABSENT), burnt);
    }

    private void spend(int more) {
        minutes += more;
        day += more / MINUTES_OF_A_DAY;
    }

    private void told(PracticeMove move, Entry entry, boolean isBurnt) {
        burnt += isBurnt ? 1 : 0;
        log(entry);
        done.add(new Done(move, Optional.of(entry), day, isBurnt));
    }

    private void log(Entry entry) {
        lines.add(LoggedEntry.first("practice" + lines.size(), now(), "practice", entry));
    }

    private boolean isOpen(String look) {
        return PracticeCase.isLook(look)
                && !looked.contains(look)
                && Findings.find(look).isPresent()
                && day >= PracticeCase.dayOf(look)
                && isAsked(look);
    }

    /** What can only be looked at where something else was seen is asked after that. */
    private boolean isAsked(String look) {
        List<String> onlyWith = PracticeCase.onlyWith(look);
        return onlyWith.isEmpty()
                || onlyWith.stream()
                        .anyMatch(l -> looked.contains(l) && of.drawn().isSeen(l));
    }

    /** Looks that can be taken now, in the order of the tables. */
    public List<Finding> open() {
        return Findings.ALL.stream().filter(f -> isOpen(f.id())).toList();
    }

    public List<Done> done() {
        return List.copyOf(done);
    }

    public PracticeCase of() {
        return of;
    }

    /** The moment at which the learner stands. */
    public Instant now() {
        return DrawnCase.begun().plus(Duration.ofSeconds(Math.round(day * HOURS_OF_A_DAY * 3600)));
    }

    /** Days since the batch was begun. */
    public double day() {
        return day;
    }

    /** Of work at it. */
    public int minutes() {
        return minutes;
    }

    /** How often skin was burnt. */
    public int burnt() {
        return burnt;
    }

    /** What is known of it, as of a real batch. */
    public BatchFacts facts() {
        return BatchFacts.of(of.drawn().plan(), new BatchLog(DrawnCase.begun(), lines), now());
    }

    /** What the engine makes of it, without anything of the workshop. */
    public Diagnosis diagnosis() {
        return DIAGNOSTICIAN.examine(facts(), NO_VESSELS);
    }
}
