# frozen_string_literal: true

module Web
  # The reading, edited as text.
  module ReadingRoutes
    extend Routing

    SHEET = EditRoutes::SHEET
    LIMIT = 2_000_000

    post "#{SHEET}/reading", needs: :edit, answers: :pieces, makes: "whatever the sentences say" do
      with_project do |project|
        raise Basalt::Mistake, "The text is larger than 2 MB" if params[:text].to_s.length > LIMIT

        before, after = [params[:before], params[:text]].map { |text| text.to_s.gsub("\r", "").split("\n") }
        revision = Basalt::Statements::ReadingPatch.new(project.set, sheet(project).id, before, after)
        parts = perform(project, ->(_) { "edited the reading of #{sheet(project).name}" }) do |draft, _|
          revision.into(draft)
          project.keep_answer(lines: revision.refused.map(&:to_h))
        end
        [parts, part("#reading", reading_after(project, sheet(project), revision.refused))].join
      end
    end

    helped_by :ReadingFace

    # The face of sentences.
    module ReadingFace
      # @return [String] the sentences as a text to be edited
      def reading_editor(sheet, reading)
        lines, owners = lines_and_owners(reading)
        view(:reading_editor, sheet:, before: lines, text: lines, owners:, refused: [])
      end

      def lines_and_owners(reading)
        reading.flatten(1).then { |sentences| [sentences.flat_map(&:last), sentences.flat_map { |id, list| [id] * list.length }] }
      end

      # What could not be understood stays where it was typed.
      def reading_after(project, sheet, refused)
        reading = Basalt::Statements::Unparser.new(project.set).reading(sheet.id)
        return view(:sentences, sheet:, reading:) if refused.empty?

        lines, owners = lines_and_owners(reading)
        text = lines.dup
        marked = refused.sort_by { |one| one.index || 0 }.map do |one|
          at = [one.index || text.length, text.length].min
          text.insert(at, one.text)
          owners.insert(at, "")
          [at, one.reason]
        end
        view(:reading_editor, sheet:, before: lines, text:, owners:, refused: marked)
      end
    end
  end
end
