package lexicor.server.load;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.time.Duration;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.catalina.valves.RemoteIpValve;
import org.apache.tomcat.util.descriptor.web.FilterDef;
import org.apache.tomcat.util.descriptor.web.FilterMap;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * How connections are taken: few and short ones, whatever comes in on them. What a proxy says of the caller is believed
 * only of proxies that were named at the start.
 */
@Component
class ConnectorRules implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {

    private static final int MOST_CONNECTIONS = 4096;
    private static final int THREADS = 100;
    private static final Duration BETWEEN_BYTES = Duration.ofSeconds(10);
    private static final Duration KEPT_ALIVE = Duration.ofSeconds(30);

    private final Set<InetAddress> proxies = new HashSet<>();

    ConnectorRules(@Value("${lexicor.proxies:}") List<String> named) throws UnknownHostException {
        for (String proxy : named) {
            if (!proxy.isBlank()) {
                proxies.add(InetAddress.getByName(proxy.strip()));
            }
        }
    }

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        factory.setProtocol(LimitedProtocol.class.getName());
        factory.addConnectorCustomizers(connector -> limit((LimitedProtocol) connector.getProtocolHandler()));
        factory.addContextCustomizers(context -> {
            FilterDef reader = new FilterDef();
            reader.setFilterName("body reader");
            reader.setFilter(new BodyReader());
            reader.setAsyncSupported("true");
            context.addFilterDef(reader);
            FilterMap everywhere = new FilterMap();
            everywhere.setFilterName("body reader");
            everywhere.addURLPattern("/*");
            everywhere.setDispatcher("REQUEST");
            everywhere.setDispatcher("ASYNC");
            context.addFilterMap(everywhere);
        });
        if (!proxies.isEmpty()) {
            RemoteIpValve valve = new RemoteIpValve();
            valve.setInternalProxies(proxies.stream()
                    .map(InetAddress::getHostAddress)
                    .map(Pattern::quote)
                    .collect(Collectors.joining("|")));
            valve.setProtocolHeader("X-Forwarded-Proto");
            valve.setHostHeader("X-Forwarded-Host");
            factory.addEngineValves(valve);
        }
    }

    private void limit(LimitedProtocol protocol) {
        protocol.share(proxies);
        protocol.setMaxConnections(MOST_CONNECTIONS);
        protocol.setMaxThreads(THREADS);
        protocol.setConnectionTimeout((int) BETWEEN_BYTES.toMillis());
        protocol.setKeepAliveTimeout((int) KEPT_ALIVE.toMillis());
        protocol.setMaxSwallowSize(0);
    }
}
