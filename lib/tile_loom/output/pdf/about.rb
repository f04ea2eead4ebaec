# frozen_string_literal: true

module TileLoom
  module Output
    module Pdf
      # What a document says of itself: title, author, subject, keywords, its date (Date or nil), language (RFC 5646).
      About =
        Struct.new(:title, :author, :subject, :date, :language, keyword_init: true) do
          def time = date && Time.utc(date.year, date.month, date.day)

          # The information dictionary (ISO 32000-1, 14.3.3). trapped: does it say that nothing is trapped (PDF/X)?
          def dictionary(trapped: false)
            {
              Title: title,
              Author: given(author),
              Subject: given(subject),
              Producer: "Tile Loom",
              Creator: "Tile Loom",
              CreationDate: time,
              ModDate: time,
              Trapped: trapped ? :False : nil
            }.compact
          end

          def given(text) = (text.to_s == "") ? nil : text.to_s
        end
    end
  end
end
