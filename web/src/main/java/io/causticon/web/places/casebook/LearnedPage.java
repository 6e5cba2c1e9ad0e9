package io.causticon.web.places.casebook;

import java.util.List;

/**
 * What the workshop's settled cases taught.
 *
 * @param cases those that teach
 * @param conditions how often each was met here
 * @param signs how often each shows what it shows here
 * @param strays what was seen without anything that brings it about
 * @param never how many conditions were not met here
 * @param habit how the workshop logs, in words
 */
record LearnedPage(List<Case> cases, List<Row> conditions, List<Row> signs, List<Row> strays, int never, String habit) {

    /**
     * A batch that teaches.
     *
     * @param id of the batch
     * @param name of the batch
     * @param taught what it was settled to have
     */
    record Case(String id, String name, String taught) {}

    /**
     * One thing that was counted.
     *
     * @param words what
     * @param counted so many of so many
     * @param anywhere what is known of it
     * @param here what is gone by in this workshop
     * @param note why it does not follow the count, where it does not
     */
    record Row(String words, String counted, String anywhere, String here, String note) {}
}
