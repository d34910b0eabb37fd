# frozen_string_literal: true

module Web
  module Families
    module Network
      module Presenters
        # Two things that are selected: the way between them, and how the ports of two units differ.
        class ChosenPanel
          KINDS = %w[device outside].freeze
          # Differences that are told.
          MOST = 40
          private_constant :KINDS, :MOST

          # @param things [Array<Basalt::Model::Element>]
          def initialize(project:, things:, **)
            @set = project.set
            @project_id = project.project_id
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

          # @return [Boolean] whether they are two units of which ports are known
          def units?
            @things.length == 2 && @things.all? { |one| one.kind == "device" && Basalt::Network::Cabling::Ports.of(@set, one).known? }
          end

          def names = @things.map(&:name)
          def differences = all.first(MOST)
          def more = [all.length - MOST, 0].max

          # @return [String] where a sheet of both is made
          def drawn_path = "/projects/#{@project_id}/cabling/units/#{@things.first.id}/drawn?beside=#{@things.last.id}"

          private

          def all = @all ||= Basalt::Network::Cabling::Comparison.new(@set, *@things).differences

          def trace = @trace ||= Basalt::Network::RouteTrace.new(@set, *@things.map(&:id))
        end
      end
    end
  end
end
