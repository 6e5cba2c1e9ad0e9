package io.causticon.web.store.practice;

import com.github.benmanes.caffeine.cache.Cache;
import io.causticon.core.workshop.practice.Drill;
import io.causticon.core.workshop.practice.HurriedBench;
import io.causticon.core.workshop.practice.PracticeCase;
import io.causticon.core.workshop.practice.PracticeLevel;
import io.causticon.core.workshop.practice.PracticeMove;
import io.causticon.core.workshop.practice.PracticeReview;
import io.causticon.core.workshop.practice.PracticeSitting;
import io.causticon.core.workshop.practice.PracticeSolver;
import io.causticon.core.workshop.practice.Skill;
import io.causticon.web.shared.Caches;
import io.causticon.web.shared.FormKey;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.account.Role;
import java.security.SecureRandom;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.random.RandomGenerator;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Cases and drills of each maker. None of them is a batch, and nothing reads them but practice itself. */
@Service
public class PracticeService {

    private static final Limit MANY = Limit.of(300);
    private static final int CASES = 100;
    private static final int SEEDS = 1_000_000;
    private static final int MOST_TAPS = 60;
    private static final String SEP = ";";

    /** Under which a bench in a hurry is kept. */
    private static final String BENCH = "BENCH";

    private final PracticeRepository cases;
    private final DrillRepository drills;
    private final ShownRepository shown;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final RandomGenerator random = new SecureRandom();

    /** Drawing one takes up to a second, and so does the best way through it. */
    private final Cache<String, PracticeCase> drawn = Caches.atMost(CASES).build();

    private final Cache<String, PracticeSolver.Solved> solved =
            Caches.atMost(CASES).build();

    PracticeService(
            PracticeRepository cases,
            DrillRepository drills,
            ShownRepository shown,
            PlatformTransactionManager transactions,
            Clock clock) {
        this.cases = cases;
        this.drills = drills;
        this.shown = shown;
        this.transaction = new TransactionTemplate(transactions);
        this.clock = clock;
    }

    /** Begins a case; the same form sent twice begins one. */
    public UUID begin(PracticeLevel level, Maker maker, String sent) {
        String key = FormKey.of(sent.isBlank() ? "" : maker.name() + sent);
        PracticeRow row = new PracticeRow();
        row.maker = maker.name();
        row.level = level.name();
        row.seed = random.nextInt(SEEDS);
        row.drawn = written(drawn(row));
        row.begunAt = clock.instant();
        row.formKey = key;
        try {
            return transaction.execute(t -> cases.findByFormKey(key).orElseGet(() -> cases.save(row)).id);
        } catch (DataIntegrityViolationException e) {
            return cases.findByFormKey(key).orElseThrow(() -> e).id;
        }
    }

    /** A maker's own, the latest first. */
    public List<PracticeRow> mine(String maker) {
        return cases.findByMakerOrderByBegunAtDesc(maker, MANY);
    }

    /** @throws NotFoundException for what is not there, and for what is another's */
    public PracticeRow get(UUID id, Maker maker) {
        return cases.findById(id)
                .filter(r -> r.maker.equals(maker.name()))
                .orElseThrow(() -> new NotFoundException("practice " + id));
    }

    /** @throws NotFoundException where its level is none that is known any more */
    PracticeCase drawn(PracticeRow row) {
        PracticeLevel level = Arrays.stream(PracticeLevel.values())
                .filter(l -> l.name().equals(row.level))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("level " + row.level));
        return drawn.get(row.level + row.seed, k -> PracticeCase.draw(level, row.seed));
    }

    private static String written(PracticeCase practice) {
        return String.join(" ", practice.conditions()) + SEP + String.join(" ", practice.brought());
    }

    /** Whether this program draws the same batch from it as the one that began it. */
    public boolean isSame(PracticeRow row) {
        return written(drawn(row)).equals(row.drawn);
    }

    /** Ids of what it had, without drawing it again. */
    public static Set<String> had(PracticeRow row) {
        return new TreeSet<>(Arrays.asList(row.drawn.split(SEP, 2)[0].split(" ")));
    }

    public PracticeSitting sitting(PracticeRow row) {
        return PracticeSitting.of(drawn(row), PracticeMove.readAll(row.moves));
    }

    /** Makes a move where it can be made and the case is open; else nothing changes. */
    public void move(UUID id, PracticeMove move, Maker maker) {
        transaction.executeWithoutResult(t -> {
            PracticeRow row = locked(id, maker);
            if (row.finishedAt == null
                    && isSame(row)
                    && sitting(row).allows(move)
                    && sitting(row).done().size() < PracticeSitting.MOST_MOVES) {
                row.moves = (row.moves + "\n" + move.written()).strip();
            }
        });
    }

    private PracticeRow locked(UUID id, Maker maker) {
        return cases.findLockedById(id)
                .filter(r -> r.maker.equals(maker.name()))
                .orElseThrow(() -> new NotFoundException("practice " + id));
    }

    /** Ends a case; what was said first stays. */
    public void conclude(UUID id, PracticeReview.Conclusion said, Maker maker) {
        transaction.executeWithoutResult(t -> {
            PracticeRow row = locked(id, maker);
            if (row.finishedAt == null && isSame(row)) {
                PracticeReview review = PracticeReview.of(sitting(row), said);
                row.finishedAt = clock.instant();
                row.named = String.join(" ", new TreeSet<>(said.conditions()));
                row.held = said.hold();
                row.remedy = said.remedy();
                row.certainty = said.certainty();
                row.wasRight = review.right();
                row.hazardReleased = review.releasedHazard();
                row.falseAlarms = review.falseAlarms().size();
                row.heldInVain = review.heldInVain();
                row.needless = review.needless().size();
                row.points = review.points();
            }
        });
    }

    /** The best way through it. */
    public PracticeSolver.Solved solved(PracticeRow row) {
        return solved.get(row.level + row.seed, k -> PracticeSolver.shortest(drawn(row)));
    }

    public static PracticeReview.Conclusion said(PracticeRow row) {
        return new PracticeReview.Conclusion(
                row.named.isBlank() ? Set.of() : Set.of(row.named.split(" ")), row.held, row.remedy, row.certainty);
    }

    public Skill skill(String maker) {
        return Skill.of(mine(maker).stream()
                .filter(r -> r.finishedAt != null)
                .map(r -> new Skill.Ended(
                        r.wasRight, r.hazardReleased, r.falseAlarms, r.heldInVain, r.needless, r.certainty))
                .toList());
    }

    public boolean isShown(String maker) {
        return shown.existsById(maker);
    }

    /** Lets the owners see, or no more. */
    @Transactional
    public void show(Maker maker, boolean yes) {
        if (!yes) {
            shown.deleteById(maker.name());
        } else if (!shown.existsById(maker.name())) {
            ShownRow row = new ShownRow();
            row.maker = maker.name();
            shown.save(row);
        }
    }

    /** Whose record this maker may see beside her own: an owner those who agreed. */
    public List<String> others(Maker maker) {
        return maker.role() == Role.OWNER
                ? shown.findAll().stream()
                        .map(r -> r.maker)
                        .filter(m -> !m.equals(maker.name()))
                        .sorted()
                        .toList()
                : List.of();
    }

    public UUID beginDrill(Drill drill, Maker maker) {
        DrillRow row = new DrillRow();
        row.maker = maker.name();
        row.drill = drill.name();
        row.seed = random.nextInt(SEEDS);
        row.begunAt = clock.instant();
        return drills.save(row).id;
    }

    /** A made-up batch to be made in a hurry. */
    public UUID beginBench(Maker maker) {
        DrillRow row = new DrillRow();
        row.maker = maker.name();
        row.drill = BENCH;
        row.seed = random.nextInt(SEEDS);
        row.begunAt = clock.instant();
        return drills.save(row).id;
    }

    /** @throws NotFoundException for what is not there, is another's, or is no bench */
    public DrillRow benchRow(UUID id, Maker maker) {
        return Optional.of(drill(id, maker))
                .filter(r -> r.drill.equals(BENCH))
                .orElseThrow(() -> new NotFoundException("bench " + id));
    }

    public static HurriedBench bench(DrillRow row) {
        return HurriedBench.of(row.seed, HurriedBench.read(Arrays.asList(row.tapped.split(" "))));
    }

    /** A deed where it can be done; else nothing changes. */
    public void act(UUID id, HurriedBench.Deed deed, Maker maker) {
        transaction.executeWithoutResult(t -> {
            DrillRow row = drills.findLockedById(id)
                    .filter(r -> r.maker.equals(maker.name()) && r.drill.equals(BENCH))
                    .orElseThrow(() -> new NotFoundException("bench " + id));
            if (row.finishedAt != null || !bench(row).open().contains(deed)) {
                return;
            }
            row.tapped = (row.tapped + " " + deed.name()).strip();
            HurriedBench bench = bench(row);
            if (bench.isOver()) {
                row.finishedAt = clock.instant();
                row.slips = bench.faults().size();
                row.harmful = (int) bench.faults().stream()
                        .filter(HurriedBench.Fault::hazard)
                        .count();
            }
        });
    }

    public List<DrillRow> drilled(String maker) {
        return drills.findByMakerOrderByBegunAtDesc(maker, MANY);
    }

    /** @throws NotFoundException for what is not there, and for what is another's */
    public DrillRow drill(UUID id, Maker maker) {
        return drills.findById(id)
                .filter(r -> r.maker.equals(maker.name()))
                .orElseThrow(() -> new NotFoundException("drill " + id));
    }

    /** @throws NotFoundException where it is none that is known any more */
    public static Drill of(DrillRow row) {
        return named(row.drill).orElseThrow(() -> new NotFoundException("drill " + row.drill));
    }

    public static Optional<Drill> named(String name) {
        return Arrays.stream(Drill.values()).filter(d -> d.name().equals(name)).findFirst();
    }

    public static Drill.Progress progress(DrillRow row) {
        return of(row).progress(Arrays.asList(row.tapped.split(" ")));
    }

    /** Whether what was tapped last was not next: only then it is told why. */
    public static boolean endsWithASlip(DrillRow row) {
        List<String> tapped = Arrays.asList(row.tapped.split(" "));
        return of(row).progress(tapped).slips().size()
                > of(row).progress(tapped.subList(0, tapped.size() - 1)).slips().size();
    }

    /** A tap; after the last right one time stands still. */
    public void tap(UUID id, String option, Maker maker) {
        transaction.executeWithoutResult(t -> {
            DrillRow row = drills.findLockedById(id)
                    .filter(r -> r.maker.equals(maker.name()))
                    .orElseThrow(() -> new NotFoundException("drill " + id));
            boolean known = of(row).options(row.seed).stream().anyMatch(o -> o.id().equals(option));
            // Whoever only slips does so no more after a while; the next right step always counts.
            boolean isNext = of(row).steps().size() > progress(row).done().size()
                    && of(row).steps().get(progress(row).done().size()).id().equals(option);
            if (row.finishedAt != null || !known || row.tapped.split(" ").length >= MOST_TAPS && !isNext) {
                return;
            }
            row.tapped = (row.tapped + " " + option).strip();
            Drill.Progress progress = progress(row);
            row.slips = progress.slips().size();
            row.harmful =
                    (int) progress.slips().stream().filter(Drill.Slip::harmful).count();
            row.finishedAt = progress.isThrough() ? clock.instant() : null;
        });
    }
}
