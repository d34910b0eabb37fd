# frozen_string_literal: true

require "base64"

module Web
  # Where images are found: by address in a page, the small pictures of sheets too; whole in a file.
  module Pictures
    module_function

    # @return [#call]
    def linked(project_id)
      sheet = Basalt::Drawing::OpeningSign::PICTURE
      ->(id) { "/projects/#{project_id}/#{id.start_with?(sheet) ? "sheets/#{id.delete_prefix(sheet)}/thumbnail.svg" : "images/#{id}"}" }
    end

    # @return [#call]
    def embedded(project_id)
      lambda do |id|
        image = Store::Image.find_by(project_id:, id:)
        image && "data:#{image.type};base64,#{Base64.strict_encode64(image.content)}"
      end
    end
  end
end
