# frozen_string_literal: true

module Basalt
  module Network
    module Inventory
      # The words that inventories use for roles.
      module Roles
        WORDS = {
          "router" => %w[gateway],
          "firewall" => %w[fw],
          "switch" => %w[sw],
          "server" => %w[host vm srv virtualmachine],
          "storage" => %w[nas san database db historian],
          "workstation" => %w[pc desktop laptop computer client],
          "controller" => %w[plc rtu pac],
          "access point" => %w[ap wap accesspoint wirelessaccesspoint],
          "sensor" => %w[probe meter transmitter],
          "phone" => %w[telephone],
          "printer" => %w[plotter],
          "load balancer" => %w[loadbalancer lb],
          "patch panel" => %w[patchpanel],
          "power strip" => %w[powerstrip pdu],
          "modem" => %w[cellularmodem],
          "ups" => %w[uninterruptiblepowersupply]
        }.freeze

        module_function

        # @return [String]
        # @raise [Mistake] when the word is not known
        def read(text)
          plain = text.downcase.gsub(/[^a-z]/, "")
          role = Kinds::ROLES.find { |known| known.delete(" ") == plain } || WORDS.find { |_, words| words.include?(plain) }&.first
          role or raise Mistake, "“#{Model::Names.short(text, 30)}” is not a known role (#{Kinds::ROLES.join(", ")})"
        end
      end
    end
  end
end
