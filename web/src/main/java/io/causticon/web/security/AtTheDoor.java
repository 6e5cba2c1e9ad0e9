package io.causticon.web.security;

import io.causticon.web.store.account.Knock;
import java.io.Serializable;

/**
 * What somebody who signs in shows, beside a name and a password.
 *
 * @param knock where she stands
 * @param origin of the page, as a browser tells it: scheme, host and port where it is not the usual one
 * @param host that the page was asked from
 * @param passkey what her device signed, as JSON; empty where she types a password
 * @param passwordWas a mark that her password was right a moment ago; empty where there is none
 */
record AtTheDoor(Knock knock, String origin, String host, String passkey, String passwordWas) implements Serializable {

    boolean showsPasskey() {
        return !passkey.isEmpty();
    }
}
