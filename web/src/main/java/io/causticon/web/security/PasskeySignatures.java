package io.causticon.web.security;

import io.causticon.web.store.account.Passkeys;
import io.causticon.web.store.account.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Base64;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.dao.DataAccessException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.webauthn.api.AuthenticatorAssertionResponse;
import org.springframework.security.web.webauthn.api.AuthenticatorAttestationResponse;
import org.springframework.security.web.webauthn.api.AuthenticatorSelectionCriteria;
import org.springframework.security.web.webauthn.api.Bytes;
import org.springframework.security.web.webauthn.api.PublicKeyCredential;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRpEntity;
import org.springframework.security.web.webauthn.api.ResidentKeyRequirement;
import org.springframework.security.web.webauthn.api.UserVerificationRequirement;
import org.springframework.security.web.webauthn.jackson.WebauthnJacksonModule;
import org.springframework.security.web.webauthn.management.ImmutablePublicKeyCredentialCreationOptionsRequest;
import org.springframework.security.web.webauthn.management.ImmutablePublicKeyCredentialRequestOptionsRequest;
import org.springframework.security.web.webauthn.management.ImmutableRelyingPartyRegistrationRequest;
import org.springframework.security.web.webauthn.management.PublicKeyCredentialUserEntityRepository;
import org.springframework.security.web.webauthn.management.RelyingPartyAuthenticationRequest;
import org.springframework.security.web.webauthn.management.RelyingPartyPublicKey;
import org.springframework.security.web.webauthn.management.WebAuthnRelyingPartyOperations;
import org.springframework.security.web.webauthn.management.Webauthn4JRelyingPartyOperations;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Asks devices to sign, and checks what they signed (W3C Web Authentication level 3, 7). A workshop is reached by
 * whatever name its network gives it, so a passkey is for the name that its maker's browser was at: the browser signs
 * for no other, and a signature for another is refused here too.
 *
 * <p>Strangers send what they like, and what reads it says in many ways that it is none: they are all one answer. Only
 * what is wrong with the data here is thrown on.
 */
@Component
class PasskeySignatures {

    private static final String TO_SIGN_IN = "sign in";
    private static final String TO_ADD = "add to ";
    private static final String WORKSHOP = "Causticon";

    private final Passkeys passkeys;
    private final PublicKeyCredentialUserEntityRepository owners;
    private final Challenges challenges;
    private final JsonMapper json =
            JsonMapper.builder().addModule(new WebauthnJacksonModule()).build();

    PasskeySignatures(Passkeys passkeys, PublicKeyCredentialUserEntityRepository owners, Challenges challenges) {
        this.passkeys = passkeys;
        this.owners = owners;
        this.challenges = challenges;
    }

    /** The page's scheme, host and port, as browsers write an origin (RFC 6454, 6.2). */
    static String origin(HttpServletRequest request) {
        int usual = request.isSecure() ? 443 : 80;
        String port = request.getServerPort() == usual ? "" : ":" + request.getServerPort();
        return request.getScheme() + "://" + request.getServerName() + port;
    }

    /** What a browser is to ask a device for, so that it signs in, as JSON. */
    String toSignIn(HttpServletRequest request) {
        WebAuthnRelyingPartyOperations checks =
                checks(origin(request), request.getServerName(), challenges.fresh(TO_SIGN_IN));
        return json.writeValueAsString(
                checks.createCredentialRequestOptions(new ImmutablePublicKeyCredentialRequestOptionsRequest(null)));
    }

    /** What a browser is to ask a device for, so that it makes a new passkey, as JSON. */
    String toAdd(SignedIn who, HttpServletRequest request) {
        WebAuthnRelyingPartyOperations checks = checks(
                origin(request), request.getServerName(), challenges.fresh(TO_ADD + who.account()));
        return json.writeValueAsString(checks.createPublicKeyCredentialCreationOptions(
                new ImmutablePublicKeyCredentialCreationOptionsRequest(authentication(who))));
    }

    /** Keeps a new passkey; false where what the device made is none of ours, or too old. */
    boolean add(SignedIn who, String label, String made, HttpServletRequest request) {
        try {
            PublicKeyCredential<AuthenticatorAttestationResponse> credential =
                    json.readValue(made, new TypeReference<>() {});
            byte[] challenge = challenge(credential.getResponse().getClientDataJSON());
            if (!challenges.isGood(TO_ADD + who.account(), challenge) || !challenges.use(challenge)) {
                return false;
            }
            WebAuthnRelyingPartyOperations checks = checks(origin(request), request.getServerName(), challenge);
            checks.registerCredential(new ImmutableRelyingPartyRegistrationRequest(
                    checks.createPublicKeyCredentialCreationOptions(
                            new ImmutablePublicKeyCredentialCreationOptionsRequest(authentication(who))),
                    new RelyingPartyPublicKey(credential, label)));
            return true;
        } catch (DataAccessException e) {
            throw e;
        } catch (RuntimeException e) {
            return false;
        }
    }

    /** Whose account a signature opens; empty where it opens none. */
    Optional<UUID> whose(AtTheDoor door) {
        return whose(door.passkey(), door.origin(), door.host());
    }

    /** Whose account a signature opens; empty where it opens none. */
    Optional<UUID> whose(String signed, HttpServletRequest request) {
        return whose(signed, origin(request), request.getServerName());
    }

    private Optional<UUID> whose(String signed, String origin, String host) {
        try {
            PublicKeyCredential<AuthenticatorAssertionResponse> credential =
                    json.readValue(signed, new TypeReference<>() {});
            byte[] challenge = challenge(credential.getResponse().getClientDataJSON());
            if (!challenges.isGood(TO_SIGN_IN, challenge)) {
                return Optional.empty();
            }
            WebAuthnRelyingPartyOperations checks = checks(origin, host, challenge);
            UUID account = Passkeys.account(checks.authenticate(new RelyingPartyAuthenticationRequest(
                            checks.createCredentialRequestOptions(
                                    new ImmutablePublicKeyCredentialRequestOptionsRequest(null)),
                            credential))
                    .getId());
            return challenges.use(challenge) ? Optional.of(account) : Optional.empty();
        } catch (DataAccessException e) {
            throw e;
        } catch (RuntimeException e) {
            return Optional.empty();
        }
    }

    private byte[] challenge(Bytes clientData) {
        return Base64.getUrlDecoder()
                .decode(json.readTree(clientData.getBytes()).path("challenge").asString());
    }

    private static Authentication authentication(SignedIn who) {
        return UsernamePasswordAuthenticationToken.authenticated(who, null, who.getAuthorities());
    }

    private WebAuthnRelyingPartyOperations checks(String origin, String host, byte[] challenge) {
        Webauthn4JRelyingPartyOperations checks = new Webauthn4JRelyingPartyOperations(
                owners,
                passkeys,
                PublicKeyCredentialRpEntity.builder().id(host).name(WORKSHOP).build(),
                Set.of(origin));
        // By finger, face or PIN each time: a passkey stands for a password and must not be less.
        checks.setCustomizeRequestOptions(o -> o.challenge(new Bytes(challenge))
                .rpId(host)
                .userVerification(UserVerificationRequirement.REQUIRED));
        // Known to the device itself, so that nobody types a name.
        checks.setCustomizeCreationOptions(o -> o.challenge(new Bytes(challenge))
                .authenticatorSelection(AuthenticatorSelectionCriteria.builder()
                        .residentKey(ResidentKeyRequirement.REQUIRED)
                        .userVerification(UserVerificationRequirement.REQUIRED)
                        .build()));
        return checks;
    }
}
