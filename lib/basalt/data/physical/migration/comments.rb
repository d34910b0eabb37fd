# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      class Migration
        # What tables, columns and views mean.
        class Comments
          def initialize(pair)
            @pair = pair
            @renewed = Views.new(pair).renewed
          end

          # @return [Array<Step>]
          def steps
            old, now = all(@pair.from), all(@pair.to)
            now.filter_map do |what, element|
              before = old[what]
              next if before&.then { |one| one["meaning"] } == element["meaning"]

              Step.new(phase: :comments, sql: @pair.to.definitions.comment(what, element["meaning"]),
                       element_id: element.owner_id || element.id)
            end
          end

          private

          def all(side)
            views = side.views.values.reject { |view| @renewed.include?(view.name) }
            (side.tables.values + views).flat_map { |thing| side.definitions.commented(thing) }.to_h
          end
        end
      end
    end
  end
end
