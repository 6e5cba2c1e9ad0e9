package io.causticon.web.store.arrival;

import java.util.HashSet;
import java.util.Set;
import java.util.function.Predicate;

/**
 * What came along in the same parcel.
 *
 * @param ids of recipes and batches that would be there by then
 * @param fresh those of them that are not here yet
 * @param hasPicture whether a picture of this name lies in the parcel
 */
record Arriving(Set<Object> ids, Set<Object> fresh, Predicate<String> hasPicture) {

    Arriving(Predicate<String> hasPicture) {
        this(new HashSet<>(), new HashSet<>(), hasPicture);
    }
}
