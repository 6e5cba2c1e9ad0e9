package io.causticon.web.store.batch;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.quantity.Mass;
import java.util.Map;
import org.junit.jupiter.api.Test;

class FingerprintTest {

    private static final String WRITTEN = ProgramVersion.ofTheCore() + "\nlearned\n\t310.0\tblue bowl";
    private static final KnownVessels AS_BEFORE = weighing(310);

    private static KnownVessels weighing(double grams) {
        return new KnownVessels(Map.of("blue bowl", Mass.grams(grams)), Map.of());
    }

    @Test
    void saysNothingWhereNothingMoved() {
        assertThat(Fingerprint.moved(WRITTEN, "learned", AS_BEFORE)).isEmpty();
        assertThat(Fingerprint.moved(WRITTEN, "", AS_BEFORE))
                .as("experience that is still being read")
                .isEmpty();
    }

    @Test
    void tellsAFactOfTheBatchFromWhatIsKnownOfAll() {
        assertThat(Fingerprint.moved(WRITTEN, "learned more", weighing(120)))
                .containsExactly(
                        new Fingerprint.Moved("the workshop learned from its cases", false),
                        new Fingerprint.Moved("blue bowl is known to weigh 120 g", true));
    }

    @Test
    void judgesAgainWhatAnotherProgramJudged() {
        assertThat(Fingerprint.moved(WRITTEN.replace(ProgramVersion.ofTheCore(), "other"), "learned", AS_BEFORE))
                .containsExactly(new Fingerprint.Moved("the program knows more", false));
    }

    @Test
    void saysThatAVesselIsNotKnownAnyMore() {
        assertThat(Fingerprint.moved(WRITTEN, "learned", new KnownVessels(Map.of(), Map.of())))
                .containsExactly(new Fingerprint.Moved("nobody knows any more what blue bowl weighs", true));
    }
}
