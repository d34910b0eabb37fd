# frozen_string_literal: true

module Basalt
  module Brief
    # Which requirement is met by what, and which thing is there for which requirement. What exists
    # only to serve others counts through them: what something is derived from, what it contains or
    # is a level of, what it is said to serve, and for kinds that only ever serve what they are joined to.
    class Coverage
      # How a thing is accounted for: the requirements it +meets+ itself, or the ids that it counts +through+.
      Account = Value.of(:thing_id, :meets, :through) { def counted? = meets.any? || through.any? }

      def initialize(set)
        @set = set
      end

      # @return [Array<Model::Element>] by number
      def requirements =
        @requirements ||=
          @set
            .of_kind("requirement")
            .sort_by { |one| one.name.scan(/\d+|\D+/).map { |part| part.match?(/\d/) ? [0, part.to_i, ""] : [1, 0, part] } }

      # @return [Array<Model::Element>] what meets a requirement
      def met_by(requirement_id) = @set.relations_of(requirement_id, "meets").map { |one| @set.element(one.target("thing")) }.uniq(&:id)

      # @return [Array<Model::Element>] that nothing meets; what was dropped asks for nothing
      def unmet = wanted.reject { |one| met_by(one.id).any? }
      def wanted = requirements.reject { |one| one["state"] == "dropped" }

      # @return [Array<Model::Element>] the things that stand on sheets of the brief, in order of making
      def things = @things ||= sheets.flat_map { |sheet| on(sheet) }.uniq(&:id).sort_by(&:ordinal)

      # @return [Array<Model::Element>] of one sheet
      def on(sheet) = @set.things_on(sheet.id).select { |thing| on?(sheet, thing) }
      def on?(sheet, thing) = thing.description.figure.nil? && sheet.notation.things.include?(thing.kind)

      # @return [Hash{String => Account}] by id of the thing
      def accounts = @accounts ||= settle

      # @return [Array<Model::Element>] that meet nothing, and through which nothing counts
      def outside = things.reject { |thing| accounts[thing.id].counted? }

      # @return [Float, nil] the share of requirements that are met; nil where there is none
      def requirements_share = wanted.empty? ? nil : (wanted.length - unmet.length).fdiv(wanted.length)

      # @return [Float, nil] the share of things that are accounted for, of one sheet or of all
      def things_share(sheet = nil)
        list = sheet ? on(sheet) : things
        list.empty? ? nil : list.count { |thing| accounts[thing.id]&.counted? }.fdiv(list.length)
      end

      # @return [Array<Model::Sheet>] of a design on which something meets a requirement; the others are of something else
      def sheets = @sheets ||= @set.sheet_list.select { |sheet| sheet.notation.design? && brief?(sheet) }

      # @return [Integer] how many things on the sheet meet the requirement
      def cell(requirement, sheet) = met_by(requirement.id).count { |thing| drawn?(sheet, thing) }

      # @return [String] requirements against sheets
      def csv
        rows =
          requirements.map do |one|
            [
              one.name,
              one["text"],
              one["priority"],
              one["state"],
              English.list(met_by(one.id).map { |thing| title(thing) }),
              *sheets.map { |sheet| cell(one, sheet) }
            ]
          end
        Formats::CSV.write([["number", "text", "priority", "state", "met by", *sheets.map(&:name)], *rows])
      end

      # @return [String] in words
      def title(thing)
        return [thing.name || thing.kind, *thing.endpoints.map { |id| @set.element(id)&.name }].join(" ") if thing.relation?

        thing.name || Families.title(@set, thing) || thing.kind
      end

      # @return [Array<String>] what else is counted of how requirements are met, in sentences
      def accounting = Families.accounting(@set)

      private

      # What is drawn nowhere and stands there all the same, may meet something too.
      def brief?(sheet) = @set.things_on(sheet.id).any? { |thing| (thing.description.figure || on?(sheet, thing)) && direct(thing).any? }

      def drawn?(sheet, thing) =
        thing.relation? ? @set.drawn_between?(sheet.id, thing) : @set.shown?(sheet.id, thing.id) || @set.shown_within?(sheet.id, thing.id)

      # What meets something itself, and then whatever serves what counts, until nothing is added.
      def settle
        found = things.to_h { |thing| [thing.id, Account.new(thing_id: thing.id, meets: direct(thing), through: [])] }
        loop do
          added =
            found
              .values
              .reject(&:counted?)
              .filter_map do |account|
                through(@set.element(account.thing_id), found).then { |ids| account.with(through: ids) if ids.any? }
              end
          return found if added.empty?

          added.each { |account| found[account.thing_id] = account }
        end
      end

      # Itself, or by a part of it.
      def direct(thing)
        own = [thing, *@set.parts_within(thing.id)].map(&:id)
        own
          .flat_map { |id| @set.relations_of(id, "meets") }
          .select { |one| own.include?(one.target("thing")) }
          .map { |one| one.target("requirement") }
          .uniq
      end

      def through(thing, found)
        served(thing)
          .select { |id| found[id]&.counted? || (found[id].nil? && elsewhere?(id)) }
          .first(5)
          .then { |ids| ids.any? ? ids : joined(thing, found) }
      end

      # What is on no sheet may still meet something.
      def elsewhere?(id) = @set.element(id) && direct(@set.element(id)).any?

      def served(thing)
        [
          thing["thread"]&.split("/")&.first,
          *serving[thing.id],
          *@set.relations_of(thing.id, "serves").select { |one| one.target("thing") == thing.id }.map { |one| one.target("other") },
          *@set.contents_of(thing.id).reject(&:relation?).map(&:id),
          around(thing)
        ].compact
      end

      def serving = @serving ||= Families.serving(@set)

      # What is a level of something that meets a requirement itself is there for it too.
      def around(thing)
        container = thing
        while (container = container.container_id && @set.element(container.container_id))
          return if container.kind != thing.kind
          return container.id if direct(container).any?
        end
      end

      # Kinds that only ever serve count where something they are joined to does.
      def joined(thing, found)
        return [] unless thing.description.serving

        near =
          @set.relations_of(thing.id).reject { |one| %w[meets serves marking].include?(one.kind) }.flat_map(&:targets).uniq - [thing.id]
        near.select { |id| found[id]&.counted? }.first(5)
      end
    end
  end
end
