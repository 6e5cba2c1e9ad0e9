package io.causticon.web.store.batch;

import io.causticon.web.shared.Guard;
import java.util.List;
import java.util.function.Supplier;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;
import org.springframework.util.function.SingletonSupplier;

/** Tells all who follow the logs. */
@Component
class LogFollowers {

    /** Looked for when the first line is logged: they know the batches themselves. */
    private final Supplier<List<FollowsLogs>> all;

    LogFollowers(ObjectProvider<FollowsLogs> followers) {
        this.all = SingletonSupplier.of(() -> followers.orderedStream().toList());
    }

    void tell(BatchId batch) {
        // The line is on disk: a follower that fails must not make it look as if it were not.
        all.get()
                .forEach(f -> Guard.of(f.getClass().getSimpleName(), () -> {
                    f.logged(batch);
                    return true;
                }));
    }
}
