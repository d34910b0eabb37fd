# frozen_string_literal: true

module Basalt
  module Network
    # What a device is there for.
    module Roles
      ALL = [
        "router",
        "switch",
        "firewall",
        "server",
        "storage",
        "workstation",
        "phone",
        "access point",
        "controller",
        "sensor",
        "printer",
        "patch panel",
        "load balancer",
        "modem",
        "ups",
        "power strip",
        "shelf",
        "blank",
        "device"
      ].freeze
    end
  end
end
