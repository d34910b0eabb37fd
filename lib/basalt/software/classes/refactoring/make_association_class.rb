# frozen_string_literal: true

module Basalt
  module Software
    module Classes
      module Refactoring
        # An association becomes a class between the two: each object of it joins one of either side.
        MakeAssociationClass =
          Value.of(:id, :name) do
            include Steps

            # @return [Model::Element] the class
            def apply(draft)
              line = draft.element(id) or raise Refusals::Gone, "the association"
              raise Mistake, "only a line between classes can become one" unless Kinds::ASSOCIATIONS.include?(line.kind)

              one, other = [line.ends.first, line.ends.last].map { |end_| draft.element(end_.target_id) }
              made = named(draft, line, one, other)
              join(draft, made, one, line.ends.last, line.ends.first)
              join(draft, made, other, line.ends.first, line.ends.last)
              draft.apply(Change::Remove.new(id:))
              made
            end

            private

            # What told the association is the class already.
            def named(draft, line, one, other)
              known = line.target("class") && draft.element(line.target("class"))
              return known if known

              words = [name, line["called"]].map { |text| text.to_s.strip }.find { |text| !text.empty? }
              beside(draft, one, words ? words.split.map { |word| word[0].upcase + word[1..].to_s }.join : "#{one.name}#{other.name}")
            end

            # As many of them as there were of the far side; each knows one of the near side.
            def join(draft, made, near, far, here)
              ends = [
                ["one", near.id, { "multiplicity" => "1", "role" => here.facts["role"] }.compact],
                ["other", made.id, { "multiplicity" => far.facts["multiplicity"] }.compact]
              ]
              Change::Add.new(kind: "association", ends:).apply(draft)
            end
          end
      end
    end
  end
end
