# frozen_string_literal: true

module Web
  module Families
    module Software
      module Presenters
        # Who speaks to whom in an interaction, how often.
        class TrafficFace
          Interactions = Basalt::Software::Interactions

          def initialize(project:, sheet:)
            interaction = Interactions::Scope.shown(project.set, sheet.id)
            @traffic = Interactions::Traffic.new(Interactions::Course.new(project.set, interaction&.id.to_s))
          end

          def empty? = @traffic.participants.empty?
          def names = @traffic.participants.map(&:name)

          # @return [Array<Array(String, Array<String>)>]
          def rows
            people = @traffic.participants
            people.map { |from|
              [from.name, people.map { |to|
                            @traffic.count(from.id, to.id).then { |count|
                              count.zero? ? "" : count.to_s
                            }
                          }]
            }
          end
        end
      end
    end
  end
end
