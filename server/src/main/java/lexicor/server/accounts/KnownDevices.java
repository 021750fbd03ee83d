package lexicor.server.accounts;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.time.Duration;
import java.util.Arrays;
import java.util.Base64;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Component;

/**
 * Marks devices on which somebody has signed in, by a cookie that only this server can have made and that is good for
 * that person alone. It lets nobody in; it only keeps the device's tries apart from those of strangers.
 */
@Component
class KnownDevices {

    private static final Duration KEPT = Duration.ofDays(180);
    private static final int ID_BYTES = 12;
    private static final Base64.Encoder WRITTEN = Base64.getUrlEncoder().withoutPadding();

    private final ServerSecrets secrets;
    private final SecureRandom random = new SecureRandom();

    KnownDevices(ServerSecrets secrets) {
        this.secrets = secrets;
    }

    /** The id of the device, where this person has signed in on it before. */
    Optional<String> of(String name, HttpServletRequest request) {
        Cookie[] cookies = request.getCookies();
        return cookies == null
                ? Optional.empty()
                : Arrays.stream(cookies)
                        .filter(cookie -> cookie.getName().equals(cookieName(name)))
                        .map(Cookie::getValue)
                        .filter(value -> isGenuine(name, value))
                        .map(value -> value.substring(0, value.indexOf('.')))
                        .findFirst();
    }

    /** From now on this is a device on which the person has signed in. */
    void mark(String name, HttpServletRequest request, HttpServletResponse response) {
        byte[] fresh = new byte[ID_BYTES];
        random.nextBytes(fresh);
        String id = of(name, request).orElseGet(() -> WRITTEN.encodeToString(fresh));
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(cookieName(name), id + "." + signature(name, id))
                        .httpOnly(true)
                        .secure(request.isSecure())
                        .sameSite("Strict")
                        .path("/api/session")
                        .maxAge(KEPT)
                        .build()
                        .toString());
    }

    private boolean isGenuine(String name, String value) {
        int dot = value.indexOf('.');
        return dot > 0
                && MessageDigest.isEqual(
                        value.substring(dot + 1).getBytes(StandardCharsets.US_ASCII),
                        signature(name, value.substring(0, dot)).getBytes(StandardCharsets.US_ASCII));
    }

    private String signature(String name, String id) {
        return WRITTEN.encodeToString(
                secrets.mac(ServerSecrets.DEVICES, (name + "\n" + id).getBytes(StandardCharsets.UTF_8)));
    }

    /** Each person has a mark of their own, under a name that tells nobody's. */
    private String cookieName(String name) {
        return "lexicor-device-"
                + WRITTEN.encodeToString(
                        Arrays.copyOf(secrets.mac(ServerSecrets.DEVICES, name.getBytes(StandardCharsets.UTF_8)), 9));
    }
}
