# frozen_string_literal: true

module Basalt
  module Software
    module UseCases
      # Sentences about what happens in a use case.
      module Describing
        NUMBER = /\A(\d{1,3})(?:([a-z]{1,2})(\d{1,3})?)?\z/

        module_function

        # A step with a number that is there says something else from now on; with another it comes at the end.
        #
        # @param said [Hash] +number+, +use_case+, +does+ and perhaps +who+
        def step(context, said)
          known = Description.new(context.draft, said[:use_case].id).at(said[:number])
          facts = { "who" => said[:who], "does" => said[:does] }
          return facts.each { |fact, value| context.set(known.id, fact, value) } if known

          context.add("step", owner_id: owner(context, said).id, facts: facts.compact)
        end

        def owner(context, said)
          from, letter, = said[:number].match(NUMBER).captures
          return said[:use_case] unless letter

          Description.new(context.draft, said[:use_case].id).at("#{from}#{letter}") or
            raise Mistake, "#{said[:use_case].name} has no branch #{from}#{letter} for this step"
        end

        def branch(context, said)
          known = Description.new(context.draft, said[:use_case].id).at(said[:number])
          from, = said[:number].match(NUMBER).captures
          known ||= context.add("branch", owner_id: said[:use_case].id, facts: { "from" => from.to_i })
          { "condition" => said[:condition], "resumes" => said[:resumes] }.each { |fact, value| context.set(known.id, fact, value) }
        end

        # Another sentence in its place says something else of the same; none takes it away.
        def withdraw(context, said, other)
          return if other && other[:number] == said[:number] && other[:use_case].id == said[:use_case].id

          element = meant(context.draft, said)
          context.draft.apply(Change::Remove.new(id: element.id)) if element
        end

        # Numbers change while several sentences are taken back: then the words tell.
        def meant(set, said)
          description = Description.new(set, said[:use_case].id)
          entries = description.entries.map(&:element).select { |one| says?(one, said) }
          found = description.at(said[:number])
          found && entries.any? { |one| one.id == found.id } ? found : entries.first
        end

        def says?(element, said)
          return element.kind == "branch" && element["condition"] == said[:condition] unless said.key?(:does)

          element.kind == "step" && element["does"] == said[:does] && element["who"] == said[:who]
        end

        # @return [Array<String>] sentences
        def tell(unparser, use_case)
          Description.new(unparser.set, use_case.id).entries.map { |entry| said(unparser, use_case, entry) }
        end

        def said(unparser, use_case, entry)
          one = entry.element
          words = [entry.number, "of", unparser.thing(use_case.id)]
          if one.kind == "step"
            by = one["who"] ? ["by", Sentences.bare(unparser, one["who"])] : []
            return unparser.say("step", *words, *by, :colon, one["does"] || UNSAID)
          end

          back = one["resumes"] ? ["going on at", one["resumes"].to_s] : []
          unparser.say("branch", *words, *back, :colon, one["condition"] || UNSAID)
        end

        # What stands where nobody said anything yet.
        UNSAID = "…"
      end
    end
  end
end
