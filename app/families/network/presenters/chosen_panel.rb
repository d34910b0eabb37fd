# frozen_string_literal: true

module Web
  module Families
    module Network
      module Presenters
        # The way between two things that are selected.
        class ChosenPanel
          KINDS = %w[device outside].freeze
          private_constant :KINDS

          # @param things [Array<Basalt::Model::Element>]
          def initialize(project:, things:, **)
            @set = project.set
            @things = things
          end

          # @return [Boolean] whether they are two that can reach each other
          def pair? = @things.length == 2 && @things.all? { |one| KINDS.include?(one.kind) }

          # @return [String, nil] what stops it
          def stopped = trace.stopped

          # @return [String] the things and what lies between them, in order
          def way = trace.ids.map { |id| @set.element(id) }.map { |one| one.name || "a link" }.join(" → ")

          # @return [String] ids to light
          def ids = trace.ids.join(" ")

          private

          def trace = @trace ||= Basalt::Network::RouteTrace.new(@set, *@things.map(&:id))
        end
      end
    end
  end
end
