package hightally.app.platform;

import hightally.core.quantity.Said;
import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.net.UnknownHostException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import org.springframework.boot.web.context.WebServerInitializedEvent;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.boot.web.servlet.server.ConfigurableServletWebServerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Where the program listens and as whom it answers: on this machine only, or with {@code --lan} on
 * the local network as well, once it has said what that means.
 */
@Component
public class LocalNetwork
    implements WebServerFactoryCustomizer<ConfigurableServletWebServerFactory> {
  private static final Set<String> LOOPBACK = Set.of("localhost", "127.0.0.1", "[::1]");

  private static final Pattern FOUR =
      Pattern.compile("((25[0-5]|2[0-4]\\d|1?\\d?\\d)(\\.(?!$)|$)){4}");

  private static final Pattern SIX = Pattern.compile("\\[[0-9a-f:]+\\]");

  private final HighTallyProperties properties;
  private int port;

  LocalNetwork(HighTallyProperties properties) {
    this.properties = properties;
  }

  @Override
  public void customize(ConfigurableServletWebServerFactory factory) {
    if (properties.lan()) {
      System.out.println(StartWords.say(Said.of("start.onNetwork")));
      factory.setAddress(null);
    }
  }

  @EventListener
  void listening(WebServerInitializedEvent event) {
    port = event.getWebServer().getPort();
  }

  /** Whether devices on the network may be let in. */
  public boolean isOpen() {
    return properties.lan();
  }

  /**
   * Whether a host that a request names is this machine.
   *
   * @param host without a port, in small letters
   */
  boolean isThisMachine(String host) {
    return LOOPBACK.contains(host) || properties.lan() && isOwnAddress(host);
  }

  /** Only figures are looked at, so that no name is ever asked for. */
  private static boolean isOwnAddress(String host) {
    boolean figures = FOUR.matcher(host).matches() || SIX.matcher(host).matches();
    try {
      return figures && NetworkInterface.getByInetAddress(InetAddress.getByName(host)) != null;
    } catch (SocketException | UnknownHostException e) {
      return false;
    }
  }

  Said answersAs() {
    return Said.of(properties.lan() ? "refused.networkName" : "refused.otherName");
  }

  /** Where a device finds the page: the plain addresses first. */
  public List<String> pages() {
    return properties.lan()
        ? addresses().stream().map(one -> "http://" + one + ":" + port + "/").toList()
        : List.of();
  }

  /** The addresses of this machine that others can reach, as a browser writes them. */
  private static List<String> addresses() {
    List<String> four = new ArrayList<>();
    List<String> six = new ArrayList<>();
    try {
      for (NetworkInterface one : Collections.list(NetworkInterface.getNetworkInterfaces())) {
        for (InetAddress address : Collections.list(one.getInetAddresses())) {
          if (address.isLoopbackAddress() || address.isLinkLocalAddress() || !one.isUp()) {
            continue;
          }
          if (address instanceof Inet6Address) {
            six.add("[" + address.getHostAddress().replaceFirst("%.*", "") + "]");
          } else {
            four.add(address.getHostAddress());
          }
        }
      }
    } catch (SocketException e) {
      return List.of();
    }
    four.addAll(six);
    return four;
  }
}
