package io.causticon.web.store.batch;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.log.Named;
import io.causticon.core.quantity.Mass;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What a judgement hangs on beside the log: what the program knows, what the workshop learned, and what each vessel
 * weighs that the log names. When one of these moves the batch is judged again, and nothing else has to be read to know
 * that.
 *
 * @param program version of the core
 * @param experience what the workshop learned
 * @param vessels mass of each vessel by its name and id as the log has them; nothing where nobody knows it
 */
record Fingerprint(String program, String experience, Map<Named, String> vessels) {

    private static final String LINE = "\n";
    private static final String FIELD = "\t";
    private static final int FIELDS = 3;

    static Fingerprint of(Batch batch, String experience, KnownVessels known) {
        Map<Named, String> vessels = named();
        batch.log().of(Entry.Weighed.class).forEach(w -> {
            Named vessel = w.entry().vessel();
            if (vessel != null) {
                vessels.put(oneLine(vessel), mass(known, vessel));
            }
        });
        return new Fingerprint(ProgramVersion.ofTheCore(), experience, vessels);
    }

    private static Map<Named, String> named() {
        return new TreeMap<>((a, b) -> (a.name() + FIELD + a.id()).compareTo(b.name() + FIELD + b.id()));
    }

    private static Named oneLine(Named vessel) {
        return new Named(vessel.id(), vessel.name().replaceAll("\\s+", " ").trim());
    }

    private static String mass(KnownVessels known, Named vessel) {
        return known.mass(vessel).map(Mass::grams).map(String::valueOf).orElse("");
    }

    /** As a row keeps it. */
    String written() {
        StringBuilder written = new StringBuilder(program).append(LINE).append(experience);
        vessels.forEach((vessel, mass) -> written.append(LINE)
                .append(vessel.id() == null ? "" : vessel.id())
                .append(FIELD)
                .append(mass)
                .append(FIELD)
                .append(vessel.name()));
        return written.toString();
    }

    /**
     * Something that a row was judged by, and that is otherwise now.
     *
     * @param words what
     * @param ofTheBatch whether it is a fact of this batch, and not only what is known of all of them: that comes first
     */
    record Moved(String words, boolean ofTheBatch) {}

    /**
     * Why a row would be judged otherwise now.
     *
     * @param written as it was kept
     * @param experience what the workshop learned; empty while that is still being read
     * @return each thing that moved; none where nothing did
     */
    static List<Moved> moved(String written, String experience, KnownVessels known) {
        String[] lines = written.split(LINE, -1);
        List<Moved> moved = new ArrayList<>();
        if (lines.length < 2 || !lines[0].equals(ProgramVersion.ofTheCore())) {
            moved.add(new Moved("the program knows more", false));
        } else if (!experience.isEmpty() && !lines[1].equals(experience)) {
            moved.add(new Moved("the workshop learned from its cases", false));
        }
        for (int i = 2; i < lines.length; i++) {
            String[] fields = lines[i].split(FIELD, FIELDS);
            if (fields.length == FIELDS) {
                Named vessel = new Named(fields[0].isEmpty() ? null : fields[0], fields[2]);
                String now = mass(known, vessel);
                if (!now.equals(fields[1])) {
                    moved.add(new Moved(
                            now.isEmpty()
                                    ? "nobody knows any more what " + fields[2] + " weighs"
                                    : fields[2] + " is known to weigh " + Math.round(Double.parseDouble(now)) + " g",
                            true));
                }
            }
        }
        return moved;
    }
}
