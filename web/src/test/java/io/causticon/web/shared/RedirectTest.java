package io.causticon.web.shared;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Where somebody is sent is ours to say, whatever came with the form. */
class RedirectTest {

    @Test
    void carriesWhatItCan() {
        assertThat(Redirect.to("/bench/1", "at", "day 2", "step", "lye"))
                .isEqualTo("redirect:/bench/1?at=day%202&step=lye");
        assertThat(Redirect.to("/bench/1", "at", " ", "step", "{x}")).isEqualTo("redirect:/bench/1?step=%7Bx%7D");
    }

    @Test
    void leavesOutWhatWouldBurstTheHeader() {
        assertThat(Redirect.to("/bench/1", "step", "\u4e16".repeat(2001), "at", "now"))
                .isEqualTo("redirect:/bench/1?at=now");
    }
}
