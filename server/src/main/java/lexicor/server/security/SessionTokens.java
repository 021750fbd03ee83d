package lexicor.server.security;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.Arrays;
import java.util.Base64;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.csrf.DefaultCsrfToken;

/**
 * Tokens against cross-site requests, bound to the session: each is a random value with a signature over it and the id
 * of the session ("signed double-submit cookie" of the OWASP cheat sheet). A token of another session, or one that
 * somebody planted, is none. Nothing of it is kept on the server, and nobody who only looks at the door needs a
 * session.
 */
final class SessionTokens implements CsrfTokenRepository {

    static final String COOKIE = "XSRF-TOKEN";
    static final String HEADER = "X-XSRF-TOKEN";

    private static final String ALGORITHM = "HmacSHA256";
    private static final int BYTES = 24;
    private static final Base64.Encoder WRITTEN = Base64.getUrlEncoder().withoutPadding();

    private final SecureRandom random = new SecureRandom();
    private final byte[] key = new byte[BYTES];

    SessionTokens() {
        random.nextBytes(key);
    }

    @Override
    public CsrfToken generateToken(HttpServletRequest request) {
        byte[] value = new byte[BYTES];
        random.nextBytes(value);
        String written = WRITTEN.encodeToString(value);
        return token(written + "." + signature(written, request));
    }

    @Override
    public void saveToken(CsrfToken token, HttpServletRequest request, HttpServletResponse response) {
        ResponseCookie.ResponseCookieBuilder cookie = ResponseCookie.from(COOKIE, token == null ? "" : token.getToken())
                .secure(request.isSecure())
                .sameSite("Strict")
                .path("/");
        if (token == null) {
            cookie.maxAge(0);
        }
        response.addHeader(HttpHeaders.SET_COOKIE, cookie.build().toString());
    }

    @Override
    public CsrfToken loadToken(HttpServletRequest request) {
        Cookie[] cookies = request.getCookies();
        return cookies == null
                ? null
                : Arrays.stream(cookies)
                        .filter(cookie -> cookie.getName().equals(COOKIE))
                        .map(Cookie::getValue)
                        .filter(value -> isGenuine(value, request))
                        .findFirst()
                        .map(SessionTokens::token)
                        .orElse(null);
    }

    private boolean isGenuine(String value, HttpServletRequest request) {
        int dot = value.indexOf('.');
        return dot > 0
                && MessageDigest.isEqual(
                        value.substring(dot + 1).getBytes(StandardCharsets.US_ASCII),
                        signature(value.substring(0, dot), request).getBytes(StandardCharsets.US_ASCII));
    }

    private String signature(String value, HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        try {
            Mac mac = Mac.getInstance(ALGORITHM);
            mac.init(new SecretKeySpec(key, ALGORITHM));
            return WRITTEN.encodeToString(mac.doFinal(
                    ((session == null ? "" : session.getId()) + "\n" + value).getBytes(StandardCharsets.UTF_8)));
        } catch (GeneralSecurityException impossible) {
            throw new IllegalStateException("every Java platform has " + ALGORITHM, impossible);
        }
    }

    private static CsrfToken token(String value) {
        return new DefaultCsrfToken(HEADER, "_csrf", value);
    }
}
