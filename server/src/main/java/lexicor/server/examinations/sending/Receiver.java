package lexicor.server.examinations.sending;

import java.net.InetAddress;
import java.net.URI;
import java.net.UnknownHostException;
import java.util.Optional;

/**
 * A server of FHIR that takes signed examinations.
 *
 * @param called how people call it
 * @param address where its resources begin, such as {@code https://records.example/fhir}
 */
record Receiver(String called, String address) {

    static final String ALLOWED =
            "allowed: an address that begins with https://, or with http:// on this machine, without ? and #";

    /** Why an address cannot be a receiver's; empty where it can. What goes over a network is encrypted. */
    static Optional<String> fault(String address) {
        try {
            URI uri = URI.create(address);
            boolean whole = uri.getHost() != null
                    && uri.getQuery() == null
                    && uri.getFragment() == null
                    && uri.getUserInfo() == null;
            boolean safe = "https".equals(uri.getScheme()) || "http".equals(uri.getScheme()) && isHere(uri.getHost());
            return whole && safe ? Optional.empty() : Optional.of(ALLOWED);
        } catch (IllegalArgumentException none) {
            return Optional.of(ALLOWED);
        }
    }

    private static boolean isHere(String host) {
        try {
            return host.equals("localhost")
                    || host.matches("[\\d.]+|\\[[\\da-fA-F:]+]")
                            && InetAddress.getByName(host).isLoopbackAddress();
        } catch (UnknownHostException none) {
            return false;
        }
    }

    /** Where documents are sent to. */
    URI documents() {
        return URI.create(address.replaceAll("/+$", "") + "/Bundle");
    }
}
