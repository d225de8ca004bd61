package hightally.app.device;

import java.util.List;
import org.springframework.security.authentication.AbstractAuthenticationToken;
import org.springframework.security.core.authority.AuthorityUtils;

/** Who asks: the desk, which is this machine, or a device that was let in. */
final class Requester extends AbstractAuthenticationToken {
  static final String DESK = "DESK";
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

  static Requester desk() {
    return new Requester(DESK, null, "the desk");
  }

  static Requester of(Devices.Device device) {
    return new Requester(DEVICE, device.id(), device.name());
  }

  /** The number of the device; null for the desk. */
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
