package hightally.app.device;

import java.util.List;
import org.springframework.security.authentication.AbstractAuthenticationToken;
import org.springframework.security.core.authority.AuthorityUtils;

/** Who asks: this computer, the host,, or a device that was let in. */
final class Requester extends AbstractAuthenticationToken {
  static final String HOST = "HOST";
  static final String DEVICE = "DEVICE";
  private static final long serialVersionUID = 1;

  private final Long device;
  private final String name;

  private Requester(String role, Long device, String name) {
    super(List.copyOf(AuthorityUtils.createAuthorityList("ROLE_" + role)));
    this.device = device;
    this.name = name;
    setAuthenticated(true);
  }

  static Requester host() {
    return new Requester(HOST, null, "this computer");
  }

  static Requester of(Devices.Device device) {
    return new Requester(DEVICE, device.id(), device.name());
  }

  /** The number of the device; null for the host. */
  Long device() {
    return device;
  }

  @Override
  public Object getCredentials() {
    return "";
  }

  @Override
  public Object getPrincipal() {
    return name;
  }
}
