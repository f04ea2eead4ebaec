# frozen_string_literal: true

module TileLoom
  module Output
    # The passwords of a protected file: the one that opens it, and the one that lets its holder change what others may
    # do. They are in no order and in no book.
    Secrets =
      Struct.new(:open, :owner, keyword_init: true) do
        # Refusal for what cannot be a password of a file (ISO 32000-2, 7.6.4: up to 127 bytes of UTF-8).
        def initialize(open: nil, owner: nil)
          [open, owner].compact.each do |text|
            next if text.bytesize <= 127 && !text.match?(/[[:cntrl:]]/)
            raise Refusal.new("output.password", at: "/password")
          end
          super
        end

        # Refuses a manner that protects, without a password. secrets: of a run, or nil.
        def self.demand(manner, secrets)
          raise Refusal.new("output.no_password", at: "/password") if manner.protected? && !secrets&.any?
        end

        def any? = [open, owner].any? { |text| text.to_s != "" }
      end
  end
end
