# frozen_string_literal: true

module Basalt
  module Brief
    # That something meets a requirement, or serves something else.
    module Satisfaction
      FIGURES = /\{0+\}/

      module_function

      # @param said [Hash] the +thing+ and the +requirements+
      def say(context, said)
        said[:requirements].each { |requirement| context.draft.apply(joining(context.draft, "meets", said[:thing].id, requirement.id)) }
      end

      def retract(context, said)
        said[:requirements].each do |requirement|
          of(context.draft, said[:thing].id, requirement.id).each { |one| context.draft.apply(Change::Remove.new(id: one.id)) }
        end
      end

      # The text goes where no other sentence tells of the same requirement.
      def untold(context, said, other)
        requirement = context.find(Model::Names.clean(said[:name].to_str), ["requirement"]).first or return
        return context.draft.apply(Change::Remove.new(id: requirement.id)) unless other

        context.set(requirement.id, "name", other[:name].to_str) unless other[:name].to_str == requirement.name
      end

      # @return [Array<Model::Element>] how something meets a requirement: one at most
      def of(set, thing_id, requirement_id) =
        set
          .relations_of(thing_id, "meets")
          .select { |one| one.target("thing") == thing_id && one.target("requirement") == requirement_id }

      # @return [Array] changes; none where it is said already
      def joining(set, kind, thing_id, other_id)
        role = kind == "meets" ? "requirement" : "other"
        raise Mistake, "what #{kind} something else is not the same" if thing_id == other_id

        said = set.relations_between(thing_id, other_id, kind)
        return [] if said.any? { |one| one.target("thing") == thing_id && one.target(role) == other_id }

        [Change::Add.new(kind:, ends: [["thing", thing_id], [role, other_id]])]
      end

      # The number of the next requirement: by the pattern of the project, in which {0}, {000} stand for the
      # figures; without one as the last requirement has it, one higher.
      #
      # @return [String]
      def next_number(set)
        taken = ->(candidate) { set.named(candidate, "requirement").any? }
        pattern = set.of_kind("numbering").first&.[]("pattern")
        if pattern&.match?(FIGURES)
          return (
            (1..)
              .lazy
              .map { |number| pattern.sub(FIGURES) { number.to_s.rjust($~[0].length - 2, "0") } }
              .find { |candidate| !taken.call(candidate) }
          )
        end

        last = set.of_kind("requirement").map(&:name).grep(/\d+\z/).max_by { |name| name[/\d+\z/].to_i } || "R0"
        Model::Names.following(last, &taken)
      end
    end
  end
end
