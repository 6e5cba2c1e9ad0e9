package io.causticon.web.batch;

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
        all.get().forEach(f -> f.logged(batch));
    }
}
