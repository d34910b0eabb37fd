# frozen_string_literal: true

module Basalt
  module Brief
    module Checks
      # Something that no requirement asks for.
      class OutsideTheBrief < Basalt::Checks::Check
        rule "outside-the-brief", :hint, reads: Model::Catalogue.kinds.keys

        MOST = 40

        def findings
          return [] if set.of_kind("meets").empty?

          Coverage
            .new(set)
            .outside
            .first(MOST)
            .map do |thing|
              finding(
                thing.id,
                "#{thing.name} is outside the brief",
                "It meets no requirement, and nothing counts through it. Either somebody needs it and nobody said so, or it can go."
              )
            end
        end
      end
    end
  end
end
