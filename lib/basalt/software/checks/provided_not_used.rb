# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # An interface that a component provides and none requires.
      class ProvidedNotUsed < Basalt::Checks::Check
        rule "provided-not-used", :hint, reads: %w[class component port need provision], each: "class", near: 2

        def about(interface)
          interfaces = Components::Interfaces.new(set)
          giving = interfaces.providers(interface.id)
          return [] if giving.empty? || interfaces.requirers(interface.id).any?

          names = English.list(giving.map(&:name))
          why = "Either somebody's need has not been drawn yet, or it is not worth keeping up."
          [finding(interface.id, "Nobody requires #{interface.name}, which #{names} #{giving.one? ? "provides" : "provide"}", why)]
        end
      end
    end
  end
end
