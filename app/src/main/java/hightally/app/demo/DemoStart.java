package hightally.app.demo;

import hightally.app.platform.HighTallyProperties;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.stereotype.Component;

/** The demo data are there before anybody is answered, and made only where they are wanted. */
@Component
class DemoStart implements SmartInitializingSingleton {
  private final HighTallyProperties properties;
  private final ObjectProvider<DemoData> data;

  DemoStart(HighTallyProperties properties, ObjectProvider<DemoData> data) {
    this.properties = properties;
    this.data = data;
  }

  @Override
  public void afterSingletonsInstantiated() {
    if (properties.demo()) {
      data.getObject().fill();
    }
  }
}
