package io.causticon.web.shared;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Who answers an address does not hang on how it is written. */
@Application
class AddressIndexTest {

    private static final int FOUND = 200;
    private static final int NOT_FOUND = 404;
    private static final int NOT_SO = 405;

    private Client ines;

    @BeforeEach
    void signIn(Client fresh) {
        ines = fresh.signIn("ines");
    }

    @Test
    void anAddressIsTheSameHoweverItsLettersAreWritten() {
        assertThat(ines.get("/sh%65lf").statusCode()).isEqualTo(FOUND);
        assertThat(ines.get("/sh%65lf").body()).contains("<h1");
        assertThat(ines.get("/%70lan/first").statusCode()).isEqualTo(FOUND);
    }

    @Test
    void whatNobodyAnswersIsNotFoundAndWhatIsAskedWronglyIsTold() {
        assertThat(ines.get("/benches").statusCode()).isEqualTo(NOT_FOUND);
        assertThat(ines.get("/bench/not-an-id/nowhere").statusCode()).isEqualTo(NOT_FOUND);
        assertThat(ines.post("/shelf", Map.of()).statusCode()).isEqualTo(NOT_SO);
    }
}
