package lexicor.server.load;

import java.net.InetAddress;
import java.util.Set;
import org.apache.coyote.http11.Http11NioProtocol;

/** HTTP/1.1 over a {@link LimitedEndpoint}. Tomcat makes it by its name. */
public final class LimitedProtocol extends Http11NioProtocol {

    private final LimitedEndpoint endpoint;

    public LimitedProtocol() {
        this(new LimitedEndpoint());
    }

    private LimitedProtocol(LimitedEndpoint endpoint) {
        super(endpoint);
        this.endpoint = endpoint;
    }

    /** Addresses behind which many people may stand. */
    void share(Set<InetAddress> addresses) {
        endpoint.share(addresses);
    }
}
