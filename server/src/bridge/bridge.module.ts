import { Module } from '@nestjs/common';
import { AmbientModule } from '../ambient/index.js';
import { DevicesModule } from '../devices/devices.module.js';
import { TintsModule } from '../tints/index.js';
import { DeviceMessages } from './device-messages.service.js';
import { MqttBridge } from './mqtt-bridge.js';

/** Devices that publish to an MQTT broker. Those that speak HTTP need no bridge. */
@Module({ imports: [AmbientModule, DevicesModule, TintsModule], providers: [DeviceMessages, MqttBridge] })
export class BridgeModule {}
