# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # An interface that a component requires and none provides.
      class RequiredNotProvided < Basalt::Checks::Check
        rule "required-not-provided", :error, reads: %w[class component port need provision], each: "class", near: 2

        def about(interface)
          interfaces = Components::Interfaces.new(set)
          needing = interfaces.requirers(interface.id)
          return [] if needing.empty? || interfaces.providers(interface.id).any?

          names = English.list(needing.map(&:name))
          why = "What is required has to be provided by some part, or by something outside."
          [finding(interface.id, "#{names} #{needing.one? ? "requires" : "require"} #{interface.name}, and nothing provides it", why)]
        end
      end
    end
  end
end
