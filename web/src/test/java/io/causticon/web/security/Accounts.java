package io.causticon.web.security;

import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.account.Role;

/** What tests need of accounts that no page offers. */
public final class Accounts {

    private Accounts() {}

    /** Gives somebody her role back, and lets her in again. */
    public static void restore(AccountService accounts, String name, Role role) {
        accounts.become(name, role, true);
    }
}
