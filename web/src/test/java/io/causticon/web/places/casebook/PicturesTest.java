package io.causticon.web.places.casebook;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;

class PicturesTest {

    @Test
    void everyFindingHasAPictureOfItsOwn() {
        Map<String, String> drawn = new HashMap<>();
        for (Finding finding : Findings.ALL) {
            String markup = Pictures.of(finding).drawing().markup();
            assertThat(markup).as(finding.id()).contains("<path");
            assertThat(drawn.put(markup, finding.id()))
                    .as(finding.id() + " looks like another")
                    .isNull();
        }
    }

    @Test
    void everyPlaceIsLookedAtForSomething() {
        for (Pictures.Where where : Pictures.Where.values()) {
            assertThat(Findings.ALL).anyMatch(f -> Pictures.of(f).where() == where);
        }
    }

    @Test
    void nothingAsksForItself() {
        assertThat(Findings.ALL)
                .allSatisfy(
                        f -> assertThat(Pictures.of(f).asks()).doesNotContain(f).doesNotHaveDuplicates());
    }
}
