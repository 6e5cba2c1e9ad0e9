package io.causticon.web.store.batch;

import io.causticon.core.model.log.Life;
import io.causticon.core.model.log.Purpose;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.workshop.assessment.Assessment;
import io.causticon.core.workshop.dates.Tasks;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * A batch as lists and the rack show it. It follows from plan and log and is kept beside them, so that a list reads no
 * logs.
 *
 * @param problem why it cannot be worked with; empty for one that can, and the rest says nothing where it is not
 * @param state the one word for it
 * @param purpose what it is made for
 * @param heldSince when it was held; empty when it is not
 * @param heldBecause what was said when it was held
 * @param pouredAt when it was poured, or is expected to be
 * @param unmouldedAt when it left the mould, or is expected to
 * @param readyAt when it may be called ready at the earliest
 * @param tasks what is to be done with it, once it is poured
 * @param mould name of its mould; empty without
 * @param bars into how many it was cut; 0 before
 * @param lastBar the last that was weighed
 * @param lye the lye's last reading on the bench
 * @param fats the fats'
 * @param lyeIsIn whether the lye is in the fats
 * @param leading what is likeliest to be the matter
 * @param hazard the likeliest of what could hurt somebody
 * @param look what to look at next; may be empty
 */
public record BatchSummary(
        BatchId id,
        String code,
        String name,
        String problem,
        Instant begun,
        Life life,
        Assessment.State state,
        Purpose purpose,
        Optional<Instant> heldSince,
        String heldBecause,
        Instant pouredAt,
        Instant unmouldedAt,
        Instant readyAt,
        List<Tasks.Task> tasks,
        String mould,
        Mass fatMass,
        int bars,
        Optional<Mass> lastBar,
        Optional<Temperature> lye,
        Optional<Temperature> fats,
        boolean lyeIsIn,
        Likely leading,
        Likely hazard,
        String look) {

    public BatchSummary {
        tasks = List.copyOf(tasks);
    }

    /** Of a batch as it stands, as it would be kept. */
    public static BatchSummary of(Batch batch, Assessment judged, Instant now) {
        SummaryRow row = new SummaryRow();
        SummaryCodec.write(row, batch, 0, judged, "", now);
        return SummaryCodec.read(row);
    }

    public boolean isHeld() {
        return heldSince.isPresent();
    }

    public boolean isReadable() {
        return problem.isEmpty();
    }

    public Duration ageAt(Instant now) {
        return Duration.between(begun, now);
    }
}
