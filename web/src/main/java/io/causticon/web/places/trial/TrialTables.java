package io.causticon.web.places.trial;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.science.trial.Effect;
import io.causticon.core.science.trial.PanelEffects;
import io.causticon.web.shared.Guard;
import io.causticon.web.shared.print.TableFile;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.trial.Trials;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** What hands said in all trials, and what it comes to, as tables. */
@Controller
class TrialTables {

    static final List<String> GRADES = List.of(
            "trial",
            "question",
            "factor",
            "arm",
            "control",
            "code",
            "batch",
            "judge",
            "judged_at",
            "days_since_cut",
            "age",
            "place",
            "of",
            "scale",
            "grade",
            "water_celsius",
            "bars");
    static final List<String> EFFECTS = List.of(
            "trial",
            "question",
            "factor",
            "control",
            "arm",
            "scale",
            "age",
            "difference",
            "from",
            "to",
            "chance_real",
            "stands_out",
            "rounds_missing");

    private static final double SECONDS_A_DAY = 86_400;
    private static final double HUNDREDTHS = 100.0;

    private final Trials trials;
    private final Standings standings;

    TrialTables(Trials trials, Standings standings) {
        this.trials = trials;
        this.standings = standings;
    }

    @GetMapping("/trials/grades.{kind:csv|xlsx}")
    void grades(@PathVariable String kind, HttpServletResponse response) throws IOException {
        TableFile.send(
                response,
                kind,
                "grades",
                GRADES,
                rows -> trials.all().forEach(t -> standing(t).forEach(s -> grades(t, s, rows))));
    }

    @GetMapping("/trials/effects.{kind:csv|xlsx}")
    void effects(@PathVariable String kind, HttpServletResponse response) throws IOException {
        TableFile.send(response, kind, "effects", EFFECTS, rows -> trials.all().forEach(t -> effects(t, rows)));
    }

    private List<ArmStanding> standing(Trials.Trial trial) {
        return Guard.of("trial " + trial.id(), () -> standings.of(trial)).orElse(List.of());
    }

    private static void grades(Trials.Trial trial, ArmStanding arm, TableFile.Rows rows) {
        Batch batch = arm.batch().orElse(null);
        if (batch == null) {
            return;
        }
        for (BatchLog.Timed<Entry.Judged> judged : arm.judged().toList()) {
            Entry.Judged j = judged.entry();
            double days = Duration.between(arm.cut().orElseThrow(), judged.at()).toSeconds() / SECONDS_A_DAY;
            for (Entry.Judged.Grade g : j.grades()) {
                rows.row(
                        trial.id(),
                        trial.question(),
                        trial.factor(),
                        arm.arm().name(),
                        trial.control().name(),
                        batch.code(),
                        batch.id(),
                        j.judge(),
                        judged.at(),
                        rounded(days),
                        arm.ageAt(judged.at()),
                        j.place(),
                        j.of(),
                        g.scale().word(),
                        g.grade(),
                        j.water() == null ? null : rounded(j.water().celsius()),
                        j.on() == null
                                ? ""
                                : j.on().numbers().stream().map(String::valueOf).collect(Collectors.joining(" ")));
            }
        }
    }

    private void effects(Trials.Trial trial, TableFile.Rows rows) {
        for (Effect e : PanelEffects.of(
                Standings.sittings(standing(trial)), trial.control().name())) {
            rows.row(
                    trial.id(),
                    trial.question(),
                    trial.factor(),
                    trial.control().name(),
                    e.arm(),
                    e.scale().word(),
                    e.age(),
                    rounded(e.difference()),
                    end(e, true),
                    end(e, false),
                    e.interval() == null ? null : rounded(e.chanceReal()),
                    e.found(),
                    e.roundsMissing());
        }
    }

    private static @Nullable Double end(Effect e, boolean low) {
        return e.interval() == null
                ? null
                : rounded(low ? e.interval().low() : e.interval().high());
    }

    private static double rounded(double value) {
        return Math.round(value * HUNDREDTHS) / HUNDREDTHS;
    }
}
