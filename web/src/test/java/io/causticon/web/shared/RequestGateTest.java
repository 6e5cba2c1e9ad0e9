package io.causticon.web.shared;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What is typed arrives as it was typed. */
@Application
class RequestGateTest {

    private static final String LETTERS = "gr\u00fcn \u017b\u00f3\u0142w \u77f3\u9e78 \u2603";

    private Client ines;

    @BeforeEach
    void signIn(Client fresh) {
        ines = fresh.signIn("ines");
    }

    /**
     * Of a browser that sends a form without a script: the kind of form, and no word of how its letters are written.
     */
    @Test
    void lettersOfAnyLanguageAreKept() {
        String bench = bench();
        String kept = ines.post(
                        bench + "/log",
                        Map.of(
                                "quick",
                                "weigh " + LETTERS + " 5 g",
                                "step",
                                "weigh",
                                "key",
                                UUID.randomUUID().toString()))
                .body();
        assertThat(kept)
                .contains("value=\"weigh " + LETTERS + " 5 g\"")
                .contains(LETTERS + " 5 g&quot; is not understood");
        assertThat(ines.get("/?find=" + Client.encode(LETTERS)).body()).contains(LETTERS);
    }

    @Test
    void aHalfIsReadHoweverItIsWritten() {
        String asked = ines.post(
                        bench() + "/log",
                        Map.of(
                                "quick",
                                "weigh olive 8\u00bd",
                                "step",
                                "weigh",
                                "key",
                                UUID.randomUUID().toString()))
                .body();
        assertThat(asked).contains("value=\"weigh olive 8\u00bd\"").contains("8 1/2");
    }

    private String bench() {
        Matcher found =
                Pattern.compile("/bench/[0-9a-f-]{36}").matcher(ines.get("/").body());
        assertThat(found.find()).isTrue();
        return found.group();
    }
}
