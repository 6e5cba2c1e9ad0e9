package io.causticon.web.places.dates;

import io.causticon.core.model.log.Life;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.workshop.dates.ReadyBy;
import io.causticon.core.workshop.dates.ReadyBy.BenchTaken;
import io.causticon.core.workshop.dates.ReadyBy.Kind;
import io.causticon.core.workshop.dates.ReadyBy.Taken;
import io.causticon.core.workshop.dates.Tasks;
import io.causticon.web.places.batch.BatchWords;
import io.causticon.web.places.trial.Panels;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.BatchSummary;
import io.causticon.web.store.batch.Summaries;
import io.causticon.web.store.dates.Feeds;
import io.causticon.web.store.dates.Makings;
import io.causticon.web.store.recipe.RecipeService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Words and lays out dates, and works backwards from a goal. */
@Service
class DatesPages {

    private static final Duration FORGOTTEN = Duration.ofDays(30);
    private static final Duration AHEAD = Duration.ofDays(120);
    private static final Duration CALENDAR_AHEAD = Duration.ofDays(500);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM yyyy", Locale.ENGLISH);
    private static final DateTimeFormatter SHORT_DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

    private final Summaries summaries;
    private final Makings makings;
    private final Panels panels;
    private final Feeds feeds;
    private final RecipeService recipes;
    private final Clock clock;

    DatesPages(Summaries summaries, Makings makings, Panels panels, Feeds feeds, RecipeService recipes, Clock clock) {
        this.summaries = summaries;
        this.makings = makings;
        this.panels = panels;
        this.feeds = feeds;
        this.recipes = recipes;
        this.clock = clock;
    }

    /** A goal worked out: what it comes to, of which recipe. */
    record Worked(RecipeService.Recipe recipe, ReadyBy.Goal goal, ReadyBy found) {

        String words() {
            return goal.bars() + " bars of " + recipe.plan().name() + " ready by " + DAY.format(goal.by());
        }
    }

    /** Works a goal out; what keeps it from that is told. */
    Optional<Worked> work(GoalForm form, Maker maker, Problems problems) {
        LocalDate today = today(maker.zone());
        Optional<ReadyBy.Goal> goal = form.read(today, problems);
        Optional<RecipeService.Recipe> recipe = form.recipeId().flatMap(id -> {
            try {
                return Optional.of(recipes.latest(id));
            } catch (NotFoundException e) {
                return Optional.empty();
            }
        });
        if (recipe.isEmpty()) {
            problems.add(
                    "recipe", form.recipe().isEmpty() ? ProblemKey.MISSING : ProblemKey.NOT_A_CHOICE, form.recipe());
        }
        return goal.isEmpty() || recipe.isEmpty()
                ? Optional.empty()
                : Optional.of(worked(recipe.get(), goal.get(), maker));
    }

    private Worked worked(RecipeService.Recipe recipe, ReadyBy.Goal goal, Maker maker) {
        Mould mould = recipe.plan().mould();
        List<Taken> taken = new ArrayList<>();
        List<BenchTaken> bench = new ArrayList<>();
        if (mould != null) {
            summaries
                    .lastInto(mould.name())
                    .flatMap(summaries::of)
                    .filter(b -> b.life() == Life.MOULD)
                    .ifPresent(b -> taken.add(new Taken(
                            CalendarFile.day(b.pouredAt(), maker.zone()),
                            CalendarFile.day(b.unmouldedAt(), maker.zone()))));
        }
        makings.all()
                .forEach(m -> recipe(m).ifPresent(other -> {
                    Kind kind = Kind.of(other.plan());
                    bench.add(new BenchTaken(m.on(), kind.benchHours()));
                    Mould its = other.plan().mould();
                    if (mould != null && its != null && its.name().equals(mould.name())) {
                        taken.add(new Taken(m.on(), m.on().plusDays(kind.mouldDays() - 1L)));
                    }
                }));
        return new Worked(recipe, goal, ReadyBy.of(goal, Kind.of(recipe.plan()), taken, bench));
    }

    private Optional<RecipeService.Recipe> recipe(Makings.Making making) {
        try {
            return Optional.of(recipes.latest(making.recipe()));
        } catch (NotFoundException e) {
            return Optional.empty();
        }
    }

    private LocalDate today(ZoneId zone) {
        return CalendarFile.day(clock.instant(), zone);
    }

    DatesPage page(Maker maker, @Nullable Worked worked) {
        return new DatesPage(
                days(maker),
                feeds.madeAt(maker).map(maker.formats()::moment).orElse(""),
                recipes.inUse().stream()
                        .map(r -> new DatesPage.Choice(
                                r.recipe().toString(), r.plan().name()))
                        .toList(),
                worked == null ? null : proposal(worked));
    }

    private static DatesPage.Proposal proposal(Worked worked) {
        ReadyBy found = worked.found();
        Kind kind = Kind.of(worked.recipe().plan());
        String each = worked.recipe().plan().mould() == null
                ? "The recipe has no mould, so each making is reckoned as one bar: give it one. "
                : kind.bars() + " bars a batch, ready " + kind.cureDays()
                        + " days after the pour nine times out of ten, the mould taken for "
                        + (kind.mouldDays() == 1 ? "a day. " : kind.mouldDays() + " days. ");
        String end = found.missing() == 0
                ? found.makings().size() == 1
                        ? "One batch, at the latest:"
                        : found.makings().size() + " batches, at the latest:"
                : found.missing() + " bars cannot be ready by then. All of them can be by "
                        + DAY.format(found.allReady()) + ", begun today.";
        return new DatesPage.Proposal(
                each + end,
                found.makings().stream()
                        .map(m -> new DatesPage.Row(
                                SHORT_DAY.format(m.on()), String.valueOf(m.bars()), SHORT_DAY.format(m.ready())))
                        .toList(),
                !found.makings().isEmpty());
    }

    private List<DatesPage.Day> days(Maker maker) {
        Instant now = clock.instant();
        ZoneId zone = maker.zone();
        Formats formats = maker.formats();
        LocalDate today = today(zone);
        Map<LocalDate, List<DatesPage.Due>> due = new TreeMap<>();
        for (Makings.Making m : makings.until(CalendarFile.day(now.plus(AHEAD), zone))) {
            due.computeIfAbsent(m.on(), d -> new ArrayList<>())
                    .add(new DatesPage.Due(
                            "",
                            "Make " + m.name(),
                            m.bars() + " of " + m.goal(),
                            "/plan/" + m.recipe(),
                            m.id().toString()));
        }
        for (Panels.Due p : panels.until(now.plus(AHEAD))) {
            due.computeIfAbsent(CalendarFile.day(p.due(), zone), d -> new ArrayList<>())
                    .add(new DatesPage.Due(
                            "",
                            "Judge at " + p.age() + ": " + p.question(),
                            String.join(", ", p.arms()),
                            "/trials/" + p.trial(),
                            ""));
        }
        for (BatchSummary b : summaries.due(now.minus(FORGOTTEN), now.plus(AHEAD))) {
            b.tasks().stream()
                    .filter(Tasks.Task::isOpen)
                    .filter(t -> t.due().isBefore(now.plus(AHEAD)))
                    .forEach(t -> due.computeIfAbsent(CalendarFile.day(t.due(), zone), d -> new ArrayList<>())
                            .add(new DatesPage.Due(
                                    hour(t, formats),
                                    BatchWords.task(t.kind()) + ": " + b.name(),
                                    BatchWords.reason(t.kind()),
                                    "/batch/" + b.id() + "/cure",
                                    "")));
        }
        return due.entrySet().stream()
                .map(e -> new DatesPage.Day(
                        e.getKey().equals(today) ? "Today" : SHORT_DAY.format(e.getKey()),
                        e.getKey().isBefore(today),
                        e.getValue()))
                .toList();
    }

    private static String hour(Tasks.Task task, Formats formats) {
        return task.kind() == Tasks.Kind.UNMOULD || task.kind() == Tasks.Kind.CUT ? formats.clock(task.due()) : "";
    }

    /** All that is open, as a calendar. */
    String calendar(Maker maker, String base) {
        Instant now = clock.instant();
        CalendarFile file = new CalendarFile(maker.zone(), now, base);
        summaries.due(now.minus(FORGOTTEN), now.plus(CALENDAR_AHEAD)).forEach(b -> file.add(b, b.tasks()));
        makings.all().forEach(file::add);
        panels.until(now.plus(CALENDAR_AHEAD)).forEach(file::add);
        return file.text();
    }

    /** What is open of one batch. */
    String calendar(BatchSummary batch, Maker maker, String base) {
        CalendarFile file = new CalendarFile(maker.zone(), clock.instant(), base);
        file.add(batch, batch.tasks());
        return file.text();
    }
}
