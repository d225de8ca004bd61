package hightally.app.device;

import java.util.List;
import org.springframework.security.authentication.AbstractAuthenticationToken;
import org.springframework.security.core.authority.AuthorityUtils;

/** Who asks: the desk, which is this machine, or a device that was let in. */
final class Visitor extends AbstractAuthenticationToken {
  static final String DESK = "DESK";
  static final String DEVICE = "DEVICE";
  private static final long serialVersionUID = 1;

  private final Long device;
  private final String name;

  private Visitor(String role, Long device, String name) {
    super(List.copyOf(AuthorityUtils.createAuthorityList("ROLE_" + role)));
    this.device = device;
    this.name = name;
    setAuthenticated(true);
  }

  static Visitor desk() {
    return new Visitor(DESK, null, "the desk");
  }

  static Visitor of(Devices.Device device) {
    return new Visitor(DEVICE, device.id(), device.name());
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
