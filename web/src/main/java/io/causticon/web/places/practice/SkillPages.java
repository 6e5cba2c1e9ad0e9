package io.causticon.web.places.practice;

import io.causticon.core.workshop.practice.Drill;
import io.causticon.core.workshop.practice.PracticeLevel;
import io.causticon.core.workshop.practice.Skill;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.LinearAxis;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.practice.DrillRow;
import io.causticon.web.store.practice.PracticeRow;
import io.causticon.web.store.practice.PracticeService;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Words and draws how somebody gets on. */
@Component
class SkillPages {

    private static final int SHOWN = 30;
    private static final double WIDTH = 640;
    private static final double HEIGHT = 150;
    private static final double LEFT = 44;
    private static final double RIGHT = 12;
    private static final double TOP = 12;
    private static final double BOTTOM = 24;
    private static final double COIN = 0.25;

    private final PracticeService practice;
    private final PracticePages pages;

    SkillPages(PracticeService practice, PracticePages pages) {
        this.practice = practice;
        this.pages = pages;
    }

    /** A level to begin. */
    record Level(String name, String words) {}

    /** A drill: the best time of those without harm. */
    record DrillWords(String name, String title, String best) {}

    /** A case of the list. */
    record CaseLine(String href, String when, String level, String came) {}

    /**
     * Somebody's record.
     *
     * @param who empty for one's own
     * @param lines a figure each
     * @param chart of the last cases; one without any is none
     */
    record Record(String who, List<String> lines, List<String> calibration, Optional<Drawing> chart) {}

    static List<Level> levels() {
        return Arrays.stream(PracticeLevel.values())
                .map(l -> new Level(l.name(), l.words()))
                .toList();
    }

    List<DrillWords> drills(Maker maker) {
        List<DrillRow> all = practice.drilled(maker.name());
        return Arrays.stream(Drill.values())
                .map(d -> new DrillWords(
                        d.name(),
                        d.title(),
                        all.stream()
                                .filter(r -> r.drill().equals(d.name()) && r.finishedAt() != null && r.harmful() == 0)
                                .map(SkillPages::taken)
                                .min(Comparator.naturalOrder())
                                .map(t -> t.toSeconds() + " s at best, without harm")
                                .orElse("not through yet")))
                .toList();
    }

    static Duration taken(DrillRow row) {
        return row.finishedAt() == null ? Duration.ZERO : Duration.between(row.begunAt(), row.finishedAt());
    }

    List<CaseLine> cases(Maker maker) {
        return practice.mine(maker.name()).stream()
                .limit(SHOWN)
                .map(r -> new CaseLine(
                        "/practice/" + r.id(),
                        maker.formats().date(r.begunAt()),
                        Arrays.stream(PracticeLevel.values())
                                .filter(l -> l.name().equals(r.level()))
                                .map(PracticeLevel::words)
                                .findFirst()
                                .orElse(r.level()),
                        pages.was(r).map(w -> r.points() + " points: " + w).orElse("open")))
                .toList();
    }

    Record record(String who, boolean own) {
        Skill skill = practice.skill(who);
        List<String> lines = new ArrayList<>();
        if (skill.cases() > 0) {
            lines.add(skill.right() + " of " + skill.cases() + " cases right");
            lines.add(
                    skill.hazardsReleased() == 0
                            ? "no hazard given into hands"
                            : skill.hazardsReleased() + (skill.hazardsReleased() == 1 ? " hazard" : " hazards")
                                    + " given into hands");
            lines.add(skill.falseAlarms() + " named that were not there, " + skill.heldInVain() + " held in vain");
            lines.add(Formats.number((double) skill.needless() / skill.cases(), 1) + " needless looks a case");
            lines.add("certainty " + Formats.number(skill.brier(), 2) + ": "
                    + (skill.brier() < COIN ? "better than a coin's 0.25" : "no better than a coin's 0.25"));
        }
        List<String> calibration = skill.calibration().stream()
                .map(c -> "sure to "
                        + (c.fromPercent() == 0
                                ? "less than " + (c.toPercent() + 1)
                                : c.fromPercent() + " to " + c.toPercent())
                        + " %: right in " + c.right() + " of " + c.cases())
                .toList();
        return new Record(own ? "" : who, lines, calibration, chart(who));
    }

    /** Points of the last cases; a cross where something that burns was given away. */
    private Optional<Drawing> chart(String who) {
        List<PracticeRow> over = new ArrayList<>(practice.mine(who).stream()
                .filter(r -> r.finishedAt() != null)
                .limit(SHOWN)
                .toList());
        if (over.size() < 2) {
            return Optional.empty();
        }
        Collections.reverse(over);
        Drawing.Builder drawing = Drawing.sized(WIDTH, HEIGHT, "Points of the last " + over.size() + " cases");
        LinearAxis points = new LinearAxis(0, 100, HEIGHT - BOTTOM, TOP);
        LinearAxis along = new LinearAxis(0, over.size() - 1.0, LEFT + 12, WIDTH - RIGHT - 12);
        for (int p = 0; p <= 100; p += 50) {
            drawing.line(LEFT, points.at(p), WIDTH - RIGHT, points.at(p), p == 0 ? "axis" : "rule")
                    .textEnd(LEFT - 8, points.at(p) + 4, String.valueOf(p), "figure");
        }
        for (int i = 0; i < over.size(); i++) {
            drawing.mark(
                    over.get(i).hazardReleased() ? "trouble" : over.get(i).wasRight() ? "dot" : "open",
                    along.at(i),
                    points.at(over.get(i).points()));
        }
        return Optional.of(drawing.text(LEFT, HEIGHT - 6, "first", "small")
                .textEnd(WIDTH - RIGHT, HEIGHT - 6, "last", "small")
                .done());
    }

    List<Record> others(Maker maker) {
        return practice.others(maker).stream().map(m -> record(m, false)).toList();
    }
}
