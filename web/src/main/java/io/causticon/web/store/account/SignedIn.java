package io.causticon.web.store.account;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/**
 * Who signed in, and which sign-in it is. What she may do is looked up anew with every request.
 *
 * @param signIn names the sign-in
 * @param account names her account
 * @param name what she signs in with
 * @param passwordHash of her password
 * @param role what she may do
 * @param active whether she may sign in at all
 * @param credentialVersion of the password that was looked at
 * @param wantsPasskeyToo whether her password alone is not enough
 */
public record SignedIn(
        UUID signIn,
        UUID account,
        String name,
        String passwordHash,
        Role role,
        boolean active,
        int credentialVersion,
        boolean wantsPasskeyToo)
        implements UserDetails {

    public SignedIn as(Role other) {
        return new SignedIn(signIn, account, name, passwordHash, other, active, credentialVersion, wantsPasskeyToo);
    }

    /** The same person by another sign-in. */
    public SignedIn by(UUID otherSignIn) {
        return new SignedIn(
                otherSignIn, account, name, passwordHash, role, active, credentialVersion, wantsPasskeyToo);
    }

    @Override
    public Collection<? extends GrantedAuthority> getAuthorities() {
        return List.of(new SimpleGrantedAuthority("ROLE_" + role.name()));
    }

    @Override
    public String getPassword() {
        return passwordHash;
    }

    @Override
    public String getUsername() {
        return name;
    }

    @Override
    public boolean isEnabled() {
        return active;
    }

    @Override
    public String toString() {
        return name;
    }
}
