package io.causticon.web.account;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface AccountRepository extends JpaRepository<Account, UUID> {

    Optional<Account> findByName(String name);

    /** An account with the workshop that it works in: null before that has been set up. */
    record AtWork(Account account, @Nullable Workshop workshop) {}

    /** Asked with every request: one question. */
    @Query("""
            select new io.causticon.web.account.AccountRepository$AtWork(a, w)
            from Account a left join Workshop w on w.id = :workshop
            where a.name = :name""")
    Optional<AtWork> atWork(String name, int workshop);

    List<Account> findAllByOrderByName();

    long countByRoleAndActive(String role, boolean active);
}
