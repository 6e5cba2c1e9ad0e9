package io.causticon.core.science.forecast;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MouldCare;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.GelGoal;
import io.causticon.core.model.plan.Process;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.loaf.Programme;
import io.causticon.core.science.loaf.Programme.Stay;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/** Where a filled mould stands, hour by hour: as planned, and as it was logged. */
final class MouldStays {

    private static final Temperature FRIDGE = Temperature.celsius(5);

    /** What is done with the mould so soon after the pour was done at the pour: nobody pours and logs in one second. */
    private static final Duration AT_THE_POUR = Duration.ofMinutes(10);

    private MouldStays() {}

    static Programme planned(BatchPlan plan, Temperature room) {
        if (plan.process() == Process.OVEN) {
            return Programme.oven(
                    plan.oven().temperature(),
                    Duration.ofMinutes(plan.oven().minutes()),
                    plan.oven().preheated(),
                    room);
        }
        return plan.gel() == GelGoal.PREVENT ? Programme.cold(FRIDGE, room) : Programme.at(room);
    }

    /**
     * As logged. An oven of which nothing later is said was on as long as planned and kept its door shut; a fridge goes
     * on.
     */
    static Programme logged(BatchFacts facts, Instant poured, Temperature room) {
        List<Stay> stays = new ArrayList<>();
        Instant since = poured;
        Temperature around = room;
        Duration settlesIn = Duration.ZERO;
        for (BatchLog.Timed<Entry.Kept> kept : facts.kept()
                .filter(k -> k.entry().keeping() != MouldCare.SPRAYED)
                .toList()) {
            Instant at = kept.at().isBefore(poured.plus(AT_THE_POUR)) ? poured : kept.at();
            if (at.isAfter(since)) {
                stays.add(new Stay(Duration.between(since, at), around, Duration.ZERO));
                since = at;
            }
            around = around(kept.entry(), facts.plan(), room);
            settlesIn = kept.entry().keeping() == MouldCare.OVEN ? Programme.OVEN_COOLS_IN : Duration.ZERO;
        }
        if (!settlesIn.isZero()) {
            stays.add(new Stay(Duration.ofMinutes(facts.plan().oven().minutes()), around, Duration.ZERO));
            around = room;
        }
        stays.add(new Stay(Duration.ZERO, around, settlesIn));
        return new Programme(room, stays);
    }

    private static Temperature around(Entry.Kept kept, BatchPlan plan, Temperature room) {
        Temperature said = kept.temperature();
        return switch (kept.keeping()) {
            case OVEN -> said == null ? plan.oven().temperature() : said;
            case FRIDGE -> said == null ? FRIDGE : said;
            case FREEZER -> said == null ? plan.freezer() : said;
            case COVERED, INSULATED, UNCOVERED, SPRAYED -> room;
        };
    }
}
