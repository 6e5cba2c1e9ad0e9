package io.causticon.core.model.said.vocabulary;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVRecord;

/**
 * One way of saying that a finding is there.
 *
 * @param finding its stable name
 * @param said what is said
 */
record Saying(String finding, String said) {

    /** All that are known: of the table of sayings, and the words and other names that findings have themselves. */
    static List<Saying> all() {
        List<Saying> all = new ArrayList<>(of("sayings.csv"));
        for (Finding finding : Findings.ALL) {
            all.add(new Saying(finding.id(), finding.words()));
            finding.alsoCalled().forEach(name -> all.add(new Saying(finding.id(), name)));
        }
        return List.copyOf(all);
    }

    /** @throws IllegalArgumentException if a saying means a finding that there is not */
    static List<Saying> of(String table) {
        return WordTable.rows(table).stream().map(Saying::of).toList();
    }

    private static Saying of(CSVRecord row) {
        String finding = row.get("finding");
        if (Findings.find(finding).isEmpty()) {
            throw new IllegalArgumentException(
                    "Impossible state: \"" + row.get("said") + "\" means " + finding + ", which is no finding");
        }
        return new Saying(finding, row.get("said"));
    }
}
