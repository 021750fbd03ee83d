package lexicor.server.load;

import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.channels.SocketChannel;
import java.util.Set;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.apache.coyote.AbstractProcessor;
import org.apache.coyote.Constants;
import org.apache.coyote.Request;
import org.apache.tomcat.util.net.NioChannel;
import org.apache.tomcat.util.net.NioEndpoint;
import org.apache.tomcat.util.net.SocketWrapperBase;

/**
 * Tomcat's endpoint, with a limit on the connections of one address and on the time in which the head of a request has
 * to have come in as a whole: a caller who sends a byte now and then holds nothing for long.
 */
final class LimitedEndpoint extends NioEndpoint {

    static final int MOST_OF_AN_ADDRESS = 256;

    private static final long HEAD_SECONDS = 20;
    private static final long LOOK_SECONDS = 5;

    /** Addresses behind which many people may stand: the machine itself, and proxies that were named. */
    private volatile Set<InetAddress> shared = Set.of();

    private ScheduledExecutorService looker;

    void share(Set<InetAddress> addresses) {
        shared = Set.copyOf(addresses);
    }

    @Override
    protected boolean setSocketOptions(SocketChannel socket) {
        return !isOneTooMany(socket) && super.setSocketOptions(socket);
    }

    private boolean isOneTooMany(SocketChannel socket) {
        try {
            InetAddress address = ((InetSocketAddress) socket.getRemoteAddress()).getAddress();
            if (address.isLoopbackAddress() || shared.contains(address)) {
                return false;
            }
            String text = address.getHostAddress();
            return getConnections().stream()
                            .filter(each -> text.equals(each.getRemoteAddr()))
                            .count()
                    >= MOST_OF_AN_ADDRESS;
        } catch (java.io.IOException gone) {
            return true;
        }
    }

    @Override
    public void startInternal() throws Exception {
        super.startInternal();
        looker = Executors.newSingleThreadScheduledExecutor(work -> {
            Thread thread = new Thread(work, "slow-heads");
            thread.setDaemon(true);
            return thread;
        });
        looker.scheduleWithFixedDelay(this::closeSlowHeads, LOOK_SECONDS, LOOK_SECONDS, TimeUnit.SECONDS);
    }

    private void closeSlowHeads() {
        if (!isRunning()) {
            looker.shutdown();
            return;
        }
        long now = System.nanoTime();
        for (SocketWrapperBase<NioChannel> connection : getConnections()) {
            if (connection.getCurrentProcessor() instanceof AbstractProcessor processor
                    && !processor.isAsync()
                    && isSlow(processor.getRequest(), now)) {
                connection.close();
            }
        }
    }

    /**
     * A request that has begun to come in and is neither being served nor waited for: between two bytes Tomcat calls it
     * ended.
     */
    private static boolean isSlow(Request request, long now) {
        int stage = request.getRequestProcessor().getStage();
        return (stage == Constants.STAGE_PARSE || stage == Constants.STAGE_ENDED)
                && request.getStartTimeNanos() > 0
                && now - request.getStartTimeNanos() > TimeUnit.SECONDS.toNanos(HEAD_SECONDS);
    }
}
