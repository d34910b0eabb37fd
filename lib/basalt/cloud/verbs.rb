# frozen_string_literal: true

module Basalt
  module Cloud
    # What one thing of a cloud does with another. Without a verb it connects to it.
    module Verbs
      PLAIN = "connects to"
      # Said of a balancer, an edge cache, what sets a function going, who takes from a queue, and a name.
      TARGETS = "targets"
      DRAWS = "draws from"
      TRIGGERS = "triggers"
      READS = "reads"
      POINTS = "points to"
      # Two networks, or a network and a site, whose addresses reach each other.
      JOINED = "is joined to"

      ALL = [PLAIN, TARGETS, DRAWS, TRIGGERS, READS, "writes to", "publishes to", POINTS, JOINED].freeze
      # Those that say by themselves that one reaches the other, whatever rules there are.
      DECLARED = [TARGETS, DRAWS, TRIGGERS, READS, POINTS].freeze
    end
  end
end
