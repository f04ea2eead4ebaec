# frozen_string_literal: true

module TileLoom
  module Output
    # How a book, or some of it, is to be handed on: which sheets, in which form, at what resolution, under which names.
    # A book keeps those that have a name.
    class Order < Values::Value
      define "order", about: "Export settings: which sheets, in which format."
      identified
      part :name, text(least: 1, most: 60)
      part :sheets, text(most: 1000), default: "all"
      part :where,
        Conditions::ConditionType.new,
        about:
          "Of the sheets those that meet a condition (CQL2 JSON) on sheet.name, sheet.number, sheet.row, " \
            "sheet.column, sheet.scale, and the attributes of the sheet's feature."
      part :ppi,
        whole(36..1200),
        about: "Pixels per inch: of rasters in the files, and of images; the book's own where none are given."
      part :file_name, text(most: 300), about: "Live text, of which names of files are made."
      part :form, Form.union, default: {"kind" => "pdf_book"}

      # Live text of the names of files.
      def pattern = (file_name.to_s.strip == "") ? form.class.file_name : file_name
    end
  end
end
